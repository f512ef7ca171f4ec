import type { Export } from './define';
import { desk } from './desk';
import { die } from './die';
import { docket } from './docket';
import { dummy } from './dummy';
import { flat } from './flat';
import { handOver } from './hand-over';
import { plates } from './plates';
import { press } from './press';
import { preview } from './preview';
import { proof } from './proof';
import { schedule } from './schedule';
import { sheets } from './sheets';
import { spreads } from './spreads';
import { tiles } from './tiles';
import { working } from './working';

/** Every kind of export, in the order in which they are offered: server, command line and pages take them from here. */
export const EXPORTS = [
  press,
  handOver,
  sheets,
  flat,
  preview,
  proof,
  plates,
  die,
  dummy,
  desk,
  spreads,
  tiles,
  docket,
  schedule,
  working,
] as const;

export type ExportKind = (typeof EXPORTS)[number]['kind'];

export const EXPORT_KINDS: readonly ExportKind[] = EXPORTS.map(({ kind }) => kind);

/** The export of a name; undefined where there is none. */
export const exportOf = (kind: string): Export<ExportKind> | undefined => EXPORTS.find((one) => one.kind === kind);

/** What is said of an export where it is chosen. */
export type ExportWords = Omit<Export<ExportKind>, 'make'>;

export const EXPORT_WORDS: readonly ExportWords[] = EXPORTS.map(({ make: _make, ...words }) => words);
