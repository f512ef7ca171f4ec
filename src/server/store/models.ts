import 'server-only';
import type { Asset } from '@/core/job';
import type { RevisionKind } from '@/core/save';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';

class Row<M extends Model> extends Model<InferAttributes<M>, InferCreationAttributes<M>> {}

/** A job as the board sees it; what it says lies in its revisions. */
export class JobRow extends Row<JobRow> {
  declare id: string;
  /** Number of the newest revision. */
  declare head: number;
  declare name: string;
  declare client: string;
  declare stage: string;
  declare due: string | null;
  declare kind: string;
  declare size: string;
  declare printer: string;
  declare quantity: number | null;
  /** JSON: what stands in its way, and in which revision; null before it was ever checked. */
  declare standing: CreationOptional<string | null>;
  /** What can be learnt of it for others, JSON; null where nothing was written down. */
  declare learnt: CreationOptional<string | null>;
  /** JSON: its steps on their days, and in which revision; null before they were worked out. */
  declare plan: CreationOptional<string | null>;
  declare removedAt: Date | null;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** One saved state of a job. Never changed, never removed. */
export class RevisionRow extends Row<RevisionRow> {
  declare jobId: string;
  declare number: number;
  /** Name that its sender gave it, so that it is kept once though it arrive twice. */
  declare step: string | null;
  declare kind: RevisionKind;
  declare label: string;
  /** SHA-256 of the canonical JSON; of what was kept before steps had names, of the JSON as it was written. */
  declare hash: string;
  /** The document’s JSON, deflated. */
  declare document: Buffer;
  declare createdAt: CreationOptional<Date>;
}

/** A save that came too late, kept until the designer chose. */
export class ConflictRow extends Row<ConflictRow> {
  declare id: CreationOptional<number>;
  declare jobId: string;
  declare base: number;
  declare document: Buffer;
  declare settledAt: Date | null;
  declare createdAt: CreationOptional<Date>;
}

export class AssetRow extends Row<AssetRow> {
  declare sha: string;
  declare kind: Asset['kind'];
  declare name: string;
  declare bytes: number;
  /** The asset as a job holds it, JSON. */
  declare facts: string;
  declare createdAt: CreationOptional<Date>;
}

export const EXPORT_STATES = ['waiting', 'running', 'done', 'failed', 'cancelled'] as const;
export type ExportState = (typeof EXPORT_STATES)[number];

export class ExportRow extends Row<ExportRow> {
  declare id: string;
  declare jobId: string;
  declare revision: number;
  declare kind: string;
  declare state: ExportState;
  declare share: number;
  declare step: string;
  declare problem: string | null;
  /** JSON: name, type and bytes of each file. */
  declare files: string;
  /** Those with a larger one are made first. */
  declare rank: CreationOptional<number>;
  declare startedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
}

/** A paper, a printer or a client’s kit of the shop books; what it says lies in its record. */
class RecordRow<M extends Model> extends Model<InferAttributes<M>, InferCreationAttributes<M>> {
  declare id: CreationOptional<number>;
  declare name: string;
  /** The record as the core reads it, JSON. */
  declare record: string;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}
export class PaperRow extends RecordRow<PaperRow> {}
export class PrinterRow extends RecordRow<PrinterRow> {}
export class KitRow extends RecordRow<KitRow> {}

export class LearnerRow extends RecordRow<LearnerRow> {}

/** A spoilt piece that somebody looks for faults in. */
export class RoundRow extends Row<RoundRow> {
  declare id: string;
  /** Who practises, by name. */
  declare learner: string;
  /** What the piece is called. */
  declare piece: string;
  declare level: number;
  /** The spoilt job’s JSON, deflated. */
  declare document: Buffer;
  /** What was done to it, and what it would cost, JSON. */
  declare answers: string;
  /** What was marked, JSON; null until it is handed in. */
  declare marks: string | null;
  declare createdAt: CreationOptional<Date>;
}

/** Small facts about the installation. */
export class NoteRow extends Row<NoteRow> {
  declare name: string;
  declare value: string;
}

export interface Models {
  readonly jobs: typeof JobRow;
  readonly revisions: typeof RevisionRow;
  readonly conflicts: typeof ConflictRow;
  readonly assets: typeof AssetRow;
  readonly exports: typeof ExportRow;
  readonly notes: typeof NoteRow;
  readonly papers: typeof PaperRow;
  readonly printers: typeof PrinterRow;
  readonly kits: typeof KitRow;
  readonly learners: typeof LearnerRow;
  readonly rounds: typeof RoundRow;
}

// Sequelize writes into the descriptions it is given, so each column gets one of its own.
const text = () => ({ type: DataTypes.STRING, allowNull: false });
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false });
const blob = () => ({ type: DataTypes.BLOB, allowNull: false });
const key = () => ({ ...text(), primaryKey: true });
const created = () => ({ createdAt: DataTypes.DATE });

export function defineModels(sequelize: Sequelize): Models {
  const table = (tableName: string) => ({ sequelize, tableName, updatedAt: false as const });
  JobRow.init(
    {
      id: key(),
      head: whole(),
      name: text(),
      client: text(),
      stage: text(),
      due: DataTypes.STRING,
      kind: text(),
      size: text(),
      printer: text(),
      quantity: DataTypes.INTEGER,
      standing: DataTypes.TEXT,
      learnt: DataTypes.TEXT,
      plan: DataTypes.TEXT,
      removedAt: DataTypes.DATE,
      ...created(),
      updatedAt: DataTypes.DATE,
    },
    { sequelize, tableName: 'jobs' },
  );
  RevisionRow.init(
    {
      jobId: key(),
      number: { ...whole(), primaryKey: true },
      step: DataTypes.STRING,
      kind: text(),
      label: text(),
      hash: text(),
      document: blob(),
      ...created(),
    },
    table('revisions'),
  );
  ConflictRow.init(
    {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      jobId: text(),
      base: whole(),
      document: blob(),
      settledAt: DataTypes.DATE,
      ...created(),
    },
    table('conflicts'),
  );
  AssetRow.init(
    { sha: key(), kind: text(), name: text(), bytes: whole(), facts: DataTypes.TEXT, ...created() },
    table('assets'),
  );
  ExportRow.init(
    {
      id: key(),
      jobId: text(),
      revision: whole(),
      kind: text(),
      state: text(),
      share: { type: DataTypes.FLOAT, allowNull: false },
      step: text(),
      problem: DataTypes.TEXT,
      files: DataTypes.TEXT,
      rank: { ...whole(), defaultValue: 0 },
      startedAt: DataTypes.DATE,
      ...created(),
    },
    table('exports'),
  );
  RoundRow.init(
    {
      id: key(),
      learner: text(),
      piece: text(),
      level: whole(),
      document: blob(),
      answers: DataTypes.TEXT,
      marks: DataTypes.TEXT,
      ...created(),
    },
    table('rounds'),
  );
  NoteRow.init({ name: key(), value: DataTypes.TEXT }, { sequelize, tableName: 'notes', timestamps: false });
  for (const [row, tableName] of [
    [PaperRow, 'papers'],
    [PrinterRow, 'printers'],
    [KitRow, 'kits'],
    [LearnerRow, 'learners'],
  ] as const) {
    row.init(
      {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        name: text(),
        record: DataTypes.TEXT,
        ...created(),
        updatedAt: DataTypes.DATE,
      },
      { sequelize, tableName },
    );
  }
  return {
    jobs: JobRow,
    revisions: RevisionRow,
    conflicts: ConflictRow,
    assets: AssetRow,
    exports: ExportRow,
    notes: NoteRow,
    papers: PaperRow,
    printers: PrinterRow,
    kits: KitRow,
    learners: LearnerRow,
    rounds: RoundRow,
  };
}
