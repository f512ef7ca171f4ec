import { paperWeight } from './paper-weight';
import type { Question } from './question';
import { unitSum } from './questions/unit-sum';
import { pixelCount } from './questions/pixels';
import { viewing } from './questions/viewing-distance';
import { spine } from './questions/spine';
import { panels } from './questions/fold-panels';
import { envelope } from './questions/envelope-fit';
import { sheets } from './questions/sheets';
import { runWeight } from './questions/run-weight';

/** The questions of the day, in the order in which a job brings them up. */
export const QUESTIONS: readonly Question[] = [
  unitSum,
  pixelCount,
  viewing,
  panels,
  spine,
  envelope,
  sheets,
  runWeight,
  paperWeight,
];
