import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { z } from 'zod';
import { unpacked } from '@/upkeep';

// Sequelize writes into the descriptions it is given, so each column gets one of its own.
const text = () => ({ type: DataTypes.STRING, allowNull: false });
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false });
const moment = () => ({ type: DataTypes.DATE, allowNull: false });
const key = () => ({ type: DataTypes.STRING, primaryKey: true });
const ofJob = () => ({ ...text(), references: { model: 'jobs', key: 'id' }, onDelete: 'CASCADE' });

/** The columns of a shop book. */
const bookColumns = () => ({
  id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
  name: { ...text(), unique: true },
  record: { type: DataTypes.TEXT, allowNull: false },
  createdAt: moment(),
  updatedAt: moment(),
});

/** What the board came to show of a job; of a state that cannot be read, nothing. */
const Kept = z
  .object({ house: z.object({ name: z.string() }), quantity: z.number().int().nullish() })
  .transform(({ house, quantity }) => ({ printer: house.name, quantity: quantity ?? null }))
  .catch({ printer: '', quantity: null });

/** Never edited once released: a change is a new entry. */
export const MIGRATIONS: readonly RunnableMigration<QueryInterface>[] = [
  {
    name: '0001-jobs-revisions-assets-exports',
    up: async ({ context: q }) => {
      await q.createTable('jobs', {
        id: key(),
        head: whole(),
        name: text(),
        client: text(),
        stage: text(),
        due: { type: DataTypes.STRING, allowNull: true },
        size: text(),
        removedAt: { type: DataTypes.DATE, allowNull: true },
        createdAt: moment(),
        updatedAt: moment(),
      });
      await q.createTable('revisions', {
        jobId: { ...ofJob(), primaryKey: true },
        number: { ...whole(), primaryKey: true },
        kind: text(),
        label: text(),
        hash: text(),
        document: { type: DataTypes.BLOB, allowNull: false },
        createdAt: moment(),
      });
      await q.createTable('conflicts', {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        jobId: ofJob(),
        base: whole(),
        document: { type: DataTypes.BLOB, allowNull: false },
        settledAt: { type: DataTypes.DATE, allowNull: true },
        createdAt: moment(),
      });
      await q.createTable('assets', {
        sha: key(),
        kind: text(),
        name: text(),
        bytes: whole(),
        facts: { type: DataTypes.TEXT, allowNull: false },
        createdAt: moment(),
      });
      await q.createTable('exports', {
        id: key(),
        jobId: ofJob(),
        revision: whole(),
        kind: text(),
        state: text(),
        share: { type: DataTypes.FLOAT, allowNull: false },
        step: text(),
        problem: { type: DataTypes.TEXT, allowNull: true },
        files: { type: DataTypes.TEXT, allowNull: false },
        createdAt: moment(),
      });
      await q.createTable('notes', { name: key(), value: { type: DataTypes.TEXT, allowNull: false } });
      await q.addIndex('exports', ['jobId']);
    },
  },
  {
    name: '0002-kind-of-piece-papers-printers',
    up: async ({ context: q }) => {
      await q.addColumn('jobs', 'kind', { ...text(), defaultValue: 'Flyer' });
      for (const table of ['papers', 'printers']) await q.createTable(table, bookColumns());
    },
  },
  {
    name: '0003-kits',
    up: async ({ context: q }) => {
      await q.createTable('kits', bookColumns());
    },
  },
  {
    name: '0004-steps-arrive-once',
    up: async ({ context: q }) => {
      await q.addColumn('revisions', 'step', { type: DataTypes.STRING, allowNull: true });
      await q.addIndex('revisions', ['jobId', 'step'], { unique: true });
    },
  },
  {
    name: '0005-printer-copies-standing',
    up: async ({ context: q }) => {
      await q.addColumn('jobs', 'printer', { ...text(), defaultValue: '' });
      await q.addColumn('jobs', 'quantity', { type: DataTypes.INTEGER, allowNull: true });
      await q.addColumn('jobs', 'standing', { type: DataTypes.TEXT, allowNull: true });
      const kept = await q.sequelize.query<{ id: string; document: Buffer }>(
        'SELECT id, document FROM jobs JOIN revisions ON jobId = id AND number = head',
        { type: QueryTypes.SELECT },
      );
      for (const { id, document } of kept) {
        const { printer, quantity } = Kept.parse(unpacked(document));
        await q.bulkUpdate('jobs', { printer, quantity }, { id });
      }
    },
  },
  {
    name: '0006-order-of-exports',
    up: async ({ context: q }) => {
      await q.addColumn('exports', 'rank', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 });
      await q.addColumn('exports', 'startedAt', { type: DataTypes.DATE, allowNull: true });
    },
  },
  {
    name: '0007-what-was-learnt',
    up: async ({ context: q }) => {
      await q.addColumn('jobs', 'learnt', { type: DataTypes.TEXT, allowNull: true });
    },
  },
  {
    name: '0008-practice',
    up: async ({ context: q }) => {
      await q.createTable('learners', bookColumns());
      await q.createTable('rounds', {
        id: key(),
        learner: text(),
        piece: text(),
        level: { type: DataTypes.INTEGER, allowNull: false },
        document: { type: DataTypes.BLOB, allowNull: false },
        answers: { type: DataTypes.TEXT, allowNull: false },
        marks: { type: DataTypes.TEXT, allowNull: true },
        createdAt: moment(),
      });
      await q.addIndex('rounds', ['learner']);
    },
  },
  {
    name: '0009-plans',
    up: async ({ context: q }) => {
      await q.addColumn('jobs', 'plan', { type: DataTypes.TEXT, allowNull: true });
    },
  },
];
