import { SKETCH, TERMS, sketchShapes, termById, type Sketch, type Term } from '../core/glossary';

/** `strokeWidth` as SVG writes it. */
const attributeName = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

function sketchSvg(sketch: Sketch): string {
  const shapes = sketchShapes(sketch).map(({ tag, attributes, text }) => {
    const said = Object.entries(attributes).map(([name, value]) => `${attributeName(name)}="${value}"`);
    return `<${tag} ${said.join(' ')}${text === undefined ? '/>' : `>${text}</${tag}>`}`;
  });
  const { width, height } = SKETCH;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}">\n${shapes.join('\n')}\n</svg>\n`;
}

/** The drawing of each word that has one: file name and SVG. */
export const glossaryPictures = (): readonly { readonly name: string; readonly svg: string }[] =>
  TERMS.flatMap(({ id, sketch }) => (sketch ? [{ name: `${id}.svg`, svg: sketchSvg(sketch) }] : []));

const sectionOf = ({ id, word, what, why, usual, sketch, see = [] }: Term): string =>
  [
    `## ${word}`,
    ...(sketch ? [`<img src="glossary/${id}.svg" width="240" alt="${word}, drawn">`] : []),
    `${what} ${why}`,
    `Usual: ${usual}`,
    ...(see.length > 0 ? [`See ${see.map((other) => termById(other)?.word ?? other).join(', ')}.`] : []),
  ].join('\n\n');

/** The words of the trade, as the pages explain them. */
export const glossaryMarkdown = (): string =>
  '# Glossary\n\nThe words on the yellow sheet, written by `npm run formats` from the glossary that the pages show. ' +
  'The figures are common practice, without a published source; those of the printer go first.\n\n' +
  `${TERMS.map(sectionOf).join('\n\n')}\n`;
