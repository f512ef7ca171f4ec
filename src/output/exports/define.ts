import type { Job, SheetGuest } from '../../core/job';
import type { AssetSource } from '../assets';
import type { Desk } from '../desk';
import type { MadeFile, Progress } from '../file';

/** What an export is made from. */
export interface Making {
  readonly job: Job;
  readonly assets: AssetSource;
  /** A state of another job that lies on the same sheets. @throws CannotExport where it is not here */
  readonly guest: (guest: SheetGuest) => Promise<Job>;
  /** The moment that the files name; the same moment gives the same bytes. */
  readonly at: Date;
  /** The number under which this state of the job was saved, where it was. */
  readonly revision: number | undefined;
  readonly progress: Progress;
  /** The job with fonts and profile opened, and every side drawn. */
  readonly desk: () => Promise<Desk>;
}

/** Of what a piece must have something; undefined for what every piece has. */
export type Needs = 'lines' | 'lines or folds' | 'pages';

/** A kind of export: what is said of it, and how its files are made. */
export interface Export<Kind extends string = string> {
  readonly kind: Kind;
  readonly label: string;
  readonly about: string;
  readonly needs?: Needs;
  /** What most jobs are made into. */
  readonly isMain?: true;
  /** It carries a job on and is not printed from: faults in it do no harm yet, and templates have it too. */
  readonly isCarried?: true;
  /** Of a revision it is the same at any time, byte for byte: it names the moment at which that was saved. */
  readonly isOfRevision?: true;
  readonly make: (making: Making) => Promise<readonly MadeFile[]>;
}

export const defineExport = <const Kind extends string>(one: Export<Kind>): Export<Kind> => one;
