import {
  PARAGRAPH_KEYS,
  elementsOf,
  mapCellWords,
  mapElements,
  mapSaid,
  overCell,
  styleBook,
  stylesNamed,
  type Cell,
  type CellStyle,
  type CharacterChanges,
  type Element,
  type ElementOf,
  type Job,
  type Paragraph,
  type ParagraphChanges,
  type ParagraphLook,
  type Run,
  type TypeStyle,
} from '../job';
import { freshId } from './new-element';
import { putRecord } from './records';

/** A name that no style has. */
function freshName(styles: readonly TypeStyle[], stem: string): string {
  let n = 1;
  while (styles.some((s) => s.name === (n === 1 ? stem : `${stem} ${n}`))) n += 1;
  return n === 1 ? stem : `${stem} ${n}`;
}

/** The facts of a look that are not those of another. */
export function differing(look: ParagraphLook, from: ParagraphLook): ParagraphChanges {
  return Object.fromEntries(
    PARAGRAPH_KEYS.flatMap((key) =>
      JSON.stringify(look[key]) === JSON.stringify(from[key]) ? [] : [[key, look[key]]],
    ),
  );
}

/** A new style that looks as a text does, or a part of it; the text itself then is in that style. */
export function addStyle(job: Job, text: ElementOf<'text'>, part: ParagraphLook | undefined): Job {
  const book = styleBook(job);
  const style: TypeStyle = {
    of: 'paragraph',
    id: freshId(),
    name: freshName(job.styles, text.name || 'Style'),
    basedOn: text.style,
    next: null,
    look: differing(part ?? book.base(text), book.style(text.style)),
  };
  const styles = [...job.styles, style];
  if (part) return { ...job, styles };
  return eachElement({ ...job, styles }, (e) =>
    e.id === text.id && e.kind === 'text' ? { ...e, style: style.id, look: {} } : e,
  );
}

export const addPlainStyle = (job: Job, of: TypeStyle['of'], basedOn: string | null): Job => {
  const common = {
    id: freshId(),
    name: freshName(job.styles, of === 'paragraph' ? 'Paragraph style' : 'Character style'),
    basedOn,
    look: {},
  };
  return { ...job, styles: [...job.styles, of === 'paragraph' ? { of, next: null, ...common } : { of, ...common }] };
};

/** Puts a style in the place of the one of its id, or adds it. */
export const putStyle = (job: Job, style: TypeStyle): Job => ({ ...job, styles: putRecord(job.styles, style) });

const eachElement = (job: Job, change: (element: Element) => Element): Job => ({
  ...job,
  pieces: job.pieces.map((piece) => mapElements(piece, change)),
});

/** The job without a style. What was in it looks as before: it says itself what the style said. */
export function withoutStyle(job: Job, id: string): Job {
  const gone = job.styles.find((s) => s.id === id);
  if (!gone) return job;
  const styles = job.styles
    .filter((s) => s.id !== id)
    .map((s): TypeStyle => {
      const next = s.of === 'paragraph' && s.next === id ? { next: null } : {};
      const based = s.basedOn === id ? { basedOn: gone.basedOn, look: { ...gone.look, ...s.look } } : {};
      return { ...s, ...next, ...based };
    });
  const below = gone.basedOn ?? undefined;
  const said = <T extends { style?: string | undefined; look?: ParagraphChanges | CharacterChanges | undefined }>(
    thing: T,
  ): T => {
    if (thing.style !== id) return thing;
    return { ...thing, style: below, look: { ...gone.look, ...thing.look } };
  };
  /** @param around the style of what the paragraph stands in */
  const paragraphIn =
    (around: string | null) =>
    (p: Paragraph): Paragraph => {
      // Without a style below it a paragraph would take that of the text; it says all of its look instead.
      const isLost = p.style === id && below === undefined && around !== null && around !== id;
      const whole = isLost ? { ...p, style: undefined, look: { ...styleBook(job).style(id), ...p.look } } : said(p);
      return { ...whole, runs: whole.runs.map((r): Run => said(r)) };
    };
  /** What names the style by null where it names none. */
  const based = <T extends { style?: string | null | undefined; look?: ParagraphChanges | undefined }>(thing: T): T =>
    thing.style === id ? { ...thing, style: gone.basedOn, look: { ...gone.look, ...thing.look } } : thing;
  return eachElement({ ...job, styles }, (element) => {
    switch (element.kind) {
      case 'text':
        return { ...based(element), paragraphs: element.paragraphs.map(paragraphIn(element.style)) };
      case 'table':
        return mapCellWords(mapSaid(based(element), based), paragraphIn(element.style));
      default:
        return element;
    }
  });
}

export const putCellStyle = (job: Job, style: CellStyle): Job => ({
  ...job,
  cellStyles: putRecord(job.cellStyles, style),
});

/** The job without a cell style. Cells in it look as before: they say themselves what it said. */
export function withoutCellStyle(job: Job, id: string): Job {
  const gone = job.cellStyles.find((s) => s.id === id);
  if (!gone) return job;
  const cellStyles = job.cellStyles
    .filter((s) => s.id !== id)
    .map((s) => (s.basedOn === id ? { ...s, basedOn: gone.basedOn, cell: overCell(gone.cell, s.cell) } : s));
  return eachElement({ ...job, cellStyles }, (element) => {
    if (element.kind !== 'table' || !stylesNamed(element).includes(id)) return element;
    const said = (cell: Cell): Cell =>
      cell.named === id ? { ...cell, named: gone.basedOn, cell: overCell(gone.cell, cell.cell) } : cell;
    return { ...element, rows: element.rows.map((row) => ({ ...row, content: row.content.map(said) })) };
  });
}

/** How many elements and styles use a style. */
export function usesOf(job: Job, id: string): number {
  const based = [...job.styles, ...job.cellStyles].filter((s) => s.basedOn === id).length;
  const texts = job.pieces.flatMap(elementsOf).filter(({ element: e }) => stylesNamed(e).includes(id));
  return based + texts.length;
}
