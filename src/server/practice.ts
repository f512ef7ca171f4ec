import 'server-only';
import { randomInt, randomUUID } from 'node:crypto';
import { formatISO } from 'date-fns';
import { Op, type Transaction } from 'sequelize';
import { z } from 'zod';
import { RULE_IDS } from '@/core/check';
import type { Job } from '@/core/job';
import {
  DRILLS,
  Learner,
  MOST_TRIALS,
  dueBy,
  knownOn,
  marked,
  practised,
  shuffled,
  type Fault,
  type Mark,
  type Marked,
} from '@/core/practice';
import { House } from '@/core/shop';
import { LEVELS, type Level } from '@/core/spoil';
import { pack } from '@/upkeep';
import { ask } from './ask';
import { listRecords } from './books';
import { jobRow, listJobs, packedRevision } from './jobs';
import { unpack } from './packed';
import { missing, refused, unclear } from './problems';
import { store } from './store/database';
import type { RoundRow } from './store/models';
import type { WORKS } from './work';
import type { Reprint } from './work/practice';

/** Faults of one round, at most. */
export const MOST_FAULTS = 5;

/** Rounds of one person whose piece is kept. */
const KEPT = 20;

const Begin = z.strictObject({
  learner: Learner.shape.name,
  level: z.literal(LEVELS),
  faults: z.number().int().min(1).max(MOST_FAULTS),
  job: z.string().max(80).optional(),
});

const Marks = z
  .array(
    z.strictObject({
      side: z.string().min(1).max(60),
      element: z.string().max(80).nullable(),
      rule: z.enum(RULE_IDS),
    }),
  )
  .max(60);

const DrillDone = z.strictObject({
  learner: Learner.shape.name,
  kind: z.string().refine((id) => DRILLS.some((kind) => kind.id === id)),
  isRight: z.boolean(),
});

interface Answers {
  readonly faults: readonly Fault[];
  readonly reprint: Reprint | undefined;
}

/** A round that was handed in: what was wrong, what was marked, and what came of it. */
export interface Result extends Marked, Answers {
  readonly marks: readonly Mark[];
}

/** A round as the one who practises has it. */
export interface OpenRound {
  readonly id: string;
  readonly learner: string;
  readonly piece: string;
  readonly level: Level;
  /** How many faults there are. */
  readonly faults: number;
  readonly job: Job;
  readonly result: Result | undefined;
}

/** Those who practise, and the pieces that can be taken. */
export async function practice(): Promise<{
  readonly learners: readonly Learner[];
  readonly pieces: readonly Piece[];
}> {
  const { models } = await store();
  const rows = await models.learners.findAll({ order: [['name', 'ASC']] });
  return { learners: rows.map(({ record }) => Learner.parse(JSON.parse(record))), pieces: await piecesToTake() };
}

interface Piece {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
}

/** Jobs with something laid out: what was only begun has nothing to spoil. */
async function piecesToTake(): Promise<readonly Piece[]> {
  const jobs = await listJobs();
  return jobs
    .filter(({ stage }) => stage !== 'template' && stage !== 'brief')
    .map(({ id, name, kind }) => ({ id, name, kind }));
}

/** So many pieces are tried, where those that were taken have faults of their own. */
const MOST_TRIED = 6;

/** The piece that was asked for, or all of them in any order, but not the last one twice in a row. */
async function piecesFor(learner: string, job: string | undefined): Promise<readonly string[]> {
  if (job !== undefined) return [job];
  const { models } = await store();
  const last = await models.rounds.findOne({ where: { learner }, order: [['createdAt', 'DESC']] });
  const pieces = await piecesToTake();
  const others = pieces.filter(({ name }) => name !== last?.piece);
  const choice = others.length > 0 ? others : pieces;
  return shuffled(choice, () => randomInt(2 ** 31) / 2 ** 31).map(({ id }) => id);
}

type Wish = Pick<Parameters<(typeof WORKS)['spoil']>[0], 'level' | 'faults' | 'due' | 'known'>;

/** The first of some pieces that can be spoilt. @throws Problem where none can */
async function spoiltOf(ids: readonly string[], wish: Wish, signal: AbortSignal | undefined) {
  const houses = House.array().parse(await listRecords('printers'));
  let why = refused.nothingToSpoil();
  for (const id of ids.slice(0, MOST_TRIED)) {
    const { head, name } = await jobRow(id);
    const seed = randomInt(2 ** 31);
    const document = await packedRevision(id, head);
    const key = JSON.stringify([id, head, wish, seed]);
    const made = await ask('spoil', { document, ...wish, seed, houses }, { key, signal });
    if (made.is === 'round') return { made, name };
    why = made.is === 'not sound' ? refused.notSound(name) : refused.notSpoilt();
  }
  throw why;
}

/** Spoils a piece for somebody, one of those that are there where none is named. @returns the id of the round */
export async function beginRound(body: unknown, signal?: AbortSignal): Promise<{ readonly id: string }> {
  const asked = Begin.safeParse(body);
  if (!asked.success) throw unclear.round();
  const { learner, level, faults, job } = asked.data;
  const { models, write } = await store();
  const row = await models.learners.findOne({ where: { name: learner } });
  const before = row ? Learner.parse(JSON.parse(row.record)) : undefined;
  const skills = before?.skills ?? [];
  const [due, known] = [dueBy(skills, today()), knownOn(skills, today())];
  const { made, name } = await spoiltOf(await piecesFor(learner, job), { level, faults, due, known }, signal);
  const round = randomUUID();
  const packed = await pack(JSON.stringify({ ...made.job, id: round }));
  await write(async (transaction) => {
    if (!before) await putLearner(Learner.parse({ name: learner }), transaction);
    const answers = JSON.stringify({ faults: made.faults, reprint: made.reprint } satisfies Answers);
    await models.rounds.create(
      { id: round, learner, piece: name, level, document: packed, answers, marks: null },
      { transaction },
    );
    const kept = await models.rounds.findAll({
      where: { learner },
      order: [['createdAt', 'DESC']],
      limit: KEPT,
      attributes: ['id'],
      transaction,
    });
    const ids = kept.map((one) => one.id);
    await models.rounds.destroy({ where: { learner, id: { [Op.notIn]: ids } }, transaction });
  });
  return { id: round };
}

export async function readRound(id: string): Promise<OpenRound> {
  return opened(await roundRow(id));
}

/** Hands in what was marked; what was handed in before stays. */
export async function handIn(id: string, body: unknown): Promise<OpenRound> {
  const read = Marks.safeParse(body);
  if (!read.success) throw unclear.marks();
  const { models, write } = await store();
  await write(async (transaction) => {
    const row = await roundRow(id, transaction);
    if (row.marks !== null) return;
    await row.update({ marks: JSON.stringify(read.data) }, { transaction });
    const { faults } = answersOf(row);
    const { outcomes, wrong } = marked(faults, read.data);
    const own = await models.learners.findOne({ where: { name: row.learner }, transaction });
    const learner = Learner.parse(own ? JSON.parse(own.record) : { name: row.learner });
    const skills = faults.reduce((now, { rule }, i) => {
      const before = now.find((skill) => skill.rule === rule);
      const after = practised(before, rule, outcomes[i] ?? 'missed', today());
      return [...now.filter((skill) => skill.rule !== rule), after];
    }, learner.skills);
    const many = (outcome: Marked['outcomes'][number]) => outcomes.filter((one) => one === outcome).length;
    const trial = {
      at: new Date().toISOString(),
      piece: row.piece,
      level: levelOf(row),
      found: many('found'),
      seen: many('seen'),
      missed: many('missed'),
      wrong: wrong.length,
    };
    await putLearner({ ...learner, skills, trials: [...learner.trials, trial].slice(-MOST_TRIALS) }, transaction);
  });
  return readRound(id);
}

/** Counts a sum that somebody worked out. */
export async function countDrill(body: unknown): Promise<void> {
  const read = DrillDone.safeParse(body);
  if (!read.success) throw unclear.marks();
  const { learner: name, kind, isRight } = read.data;
  const { models, write } = await store();
  await write(async (transaction) => {
    const row = await models.learners.findOne({ where: { name }, transaction });
    const learner = Learner.parse(row ? JSON.parse(row.record) : { name });
    const { asked = 0, right = 0 } = learner.drills[kind] ?? {};
    const drills = { ...learner.drills, [kind]: { asked: asked + 1, right: right + (isRight ? 1 : 0) } };
    await putLearner({ ...learner, drills }, transaction);
  });
}

/** Forgets somebody, with all rounds. */
export async function forgetLearner(name: string): Promise<void> {
  const { models, write } = await store();
  await write(async (transaction) => {
    await models.rounds.destroy({ where: { learner: name }, transaction });
    await models.learners.destroy({ where: { name }, transaction });
  });
}

async function putLearner(learner: Learner, transaction: Transaction): Promise<void> {
  const { models } = await store();
  const record = JSON.stringify(learner);
  const row = await models.learners.findOne({ where: { name: learner.name }, transaction });
  if (row) await row.update({ record }, { transaction });
  else await models.learners.create({ name: learner.name, record }, { transaction });
}

async function roundRow(id: string, transaction?: Transaction): Promise<RoundRow> {
  const { models } = await store();
  const row = await models.rounds.findByPk(id, transaction ? { transaction } : {});
  if (!row) throw missing.round();
  return row;
}

// Written above, and by nobody else.
const answersOf = ({ answers }: RoundRow): Answers => JSON.parse(answers) as Answers;
const levelOf = ({ level }: RoundRow): Level => LEVELS.find((one) => one === level) ?? 1;

function opened(row: RoundRow): OpenRound {
  const { id, learner, piece, marks: kept } = row;
  const answers = answersOf(row);
  const marks = kept === null ? undefined : Marks.parse(JSON.parse(kept));
  return {
    id,
    learner,
    piece,
    level: levelOf(row),
    faults: answers.faults.length,
    job: unpack(row.document),
    result: marks && { ...answers, marks, ...marked(answers.faults, marks) },
  };
}

const today = (): string => formatISO(new Date(), { representation: 'date' });
