import { GALLERY, PRINTABLE_GROUPS, type GalleryEntry, type PrintableGroup } from '../core/printable';
import { parameterRows } from './format-docs';
import { startPrintable } from '../core/edit';

const GROUP_TITLES: Readonly<Record<PrintableGroup, string>> = {
  rulings: 'Rulings',
  grids: 'Grids',
  lists: 'Lists and fields',
  planners: 'Planners',
  calendars: 'Calendars',
  handwriting: 'Handwriting and counting',
  forms: 'Forms',
};

/** Pixels of the longer side. */
const LONGEST = 420;

/** The job that an entry of the gallery begins as. */
export function galleryJob(entry: GalleryEntry) {
  const started = startPrintable(entry, {}, { id: 'picture', name: entry.title, unit: 'mm' });
  if (!started.ok) throw new Error(`${entry.id} cannot be made: ${started.parameter}: ${started.error.message}`);
  return started.job;
}

/** A picture of each entry as it begins: file name and PNG. */
export async function* printablePictures(): AsyncGenerator<{ readonly name: string; readonly png: Uint8Array }> {
  const { openDesk, previewPng } = await import('../output');
  const none = { get: () => Promise.resolve(undefined) };
  for (const entry of GALLERY) {
    const desk = await openDesk(galleryJob(entry), none);
    const side = desk.sides.find(({ drawing }) => drawing.frames.length > 0);
    if (!side) throw new Error(`${entry.id} drew nothing.`);
    yield { name: `${entry.id}.png`, png: await previewPng(desk, side, LONGEST) };
  }
}

/** The gallery with a picture of each entry, from the registry that the program uses. */
export function printablesMarkdown(): string {
  const sections = PRINTABLE_GROUPS.map((group) => {
    const kinds = new Map(GALLERY.filter((e) => e.of.group === group).map((e) => [e.of.kind, e.of]));
    const parts = [...kinds.values()].map((of) => {
      const entries = of.presets.map(
        (p) => `| ![${p.title}](../assets/printables/${p.id}.png) | **${p.title}** (\`${p.id}\`). ${p.about} |`,
      );
      return (
        `### \`${of.kind}\`\n\n| | |\n| --- | --- |\n${entries.join('\n')}\n\n| decision | is | left out | ` +
        `what it means |\n| --- | --- | --- | --- |\n${parameterRows(of.parameters)}\n`
      );
    });
    return `## ${GROUP_TITLES[group]}\n\n${parts.join('\n')}`;
  });
  return (
    '# Printables\n' +
    '\n' +
    'Content that works itself out in its box. Made from the registry by `npm run formats`; a test notices ' +
    'when the two differ. Begin\n' +
    'one with `ys new --printable ID --set NAME=VALUE`, from the gallery of the board, or on the bench under ' +
    'Add. Defaults are\n' +
    'written as one types them, metric | inches. On a base layout each page shows the next day, week, month, ' +
    'card or number.\n' +
    '\n' +
    sections.join('\n')
  );
}
