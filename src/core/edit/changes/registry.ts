import { z } from 'zod';
import { arrangeChanges } from './arrange';
import type { ChangeKind } from './change';
import { drawnChanges } from './drawn';
import { elementChanges } from './elements';
import { fileChanges } from './files';
import { ChangesFile } from './file';
import { finishingChanges } from './finishing';
import { inkChanges } from './inks';
import { jobChanges } from './job';
import { pageChanges } from './pages';
import { printableChanges } from './printables';
import { structureChanges } from './structure';
import { styleChanges } from './styles';
import { textChanges } from './texts';

/** Every kind of change that a file of changes can name, by what it is about. */
export const CHANGE_KINDS: Readonly<Record<string, readonly ChangeKind[]>> = {
  'The job': jobChanges,
  Elements: elementChanges,
  'Text and tables': textChanges,
  Files: fileChanges,
  Printables: printableChanges,
  'Where things stand': arrangeChanges,
  'Grids, guides, measures, layers': structureChanges,
  Styles: styleChanges,
  Inks: inkChanges,
  Pages: pageChanges,
  'Lines and coatings': finishingChanges,
  'What is made of what was drawn': drawnChanges,
};

const ALL = Object.values(CHANGE_KINDS).flat();

export const changeKind = (name: string): ChangeKind | undefined => ALL.find((kind) => kind.do === name);
export const changeNames: readonly string[] = ALL.map((kind) => kind.do);

/** The JSON Schema of a file of changes. */
export const changesJsonSchema = (): unknown =>
  z.toJSONSchema(ChangesFile.extend({ changes: z.array(z.union(ALL.map(({ schema }) => schema))) }), {
    io: 'input',
    unrepresentable: 'any',
  });
