import 'server-only';
import { readFile } from 'node:fs/promises';
import {
  KIT_PIECE,
  LAID_OUT,
  withColourNames,
  begun,
  demoFile,
  filesOf,
  firstProof,
  laidOut,
  type BroughtIn,
  type Kept,
} from '@/demo';
import { shipped } from '@/output';
import { addAsset } from './assets';
import { type Job } from '@/core/job';
import { putRecord } from './books';
import { insertJob } from './jobs';
import { benchPicture, thumbnail } from './views';
import { stateOf } from './state';
import { store } from './store/database';
import { kitOf } from '@/core/edit';

/** The piece that is opened first. */
const FIRST = 'meteor-night';

/**
 * Takes in the demo’s pictures and lays its jobs on the board, once; what the user changed since then stays. All of
 * it is there or nothing, though the first start be interrupted: files without a job are taken up by the next.
 */
export async function loadDemo(): Promise<void> {
  const { models, write } = await store();
  if (await models.notes.findByPk('demo-loaded')) return;
  const pieces = await laidOutPieces();
  const first = pieces.find(({ file }) => file === FIRST);
  const jobs = [...begun(), ...pieces.flatMap(({ job }) => (job === first?.job ? [job, firstProof(job)] : [job]))];
  const head = await write(async (transaction) => {
    let head = 1;
    for (const job of jobs) {
      const made = await insertJob(await stateOf(job), 'Demo', transaction);
      if (job === first?.job) ({ head } = made);
    }
    for (const { file, job } of pieces)
      if (file === KIT_PIECE) await putRecord('kits', job.client, withColourNames(kitOf(job, job.client)), transaction);
    await models.notes.create({ name: 'demo-loaded', value: new Date().toISOString() }, { transaction });
    return head;
  });
  // So that the first look at it need not wait. What cannot be drawn now is said where it is looked at.
  const drawn: Promise<unknown>[] = Object.entries(first?.job.assets ?? {})
    .filter(([, { kind }]) => kind === 'picture')
    .map(([sha]) => benchPicture({ sha, conversion: 'coated-fogra39', adjust: undefined }, {}));
  if (first) drawn.push(thumbnail(first.job.id, head, {}));
  await Promise.allSettled(drawn);
}

/** The pieces of the demo with their files, which are taken in. */
async function laidOutPieces(): Promise<readonly { readonly file: string; readonly job: Job }[]> {
  const files = new Map<string, BroughtIn>();
  const pieces: { file: string; job: Job }[] = [];
  for (const piece of LAID_OUT) {
    const kept = JSON.parse(await readFile(shipped('assets', 'demo', `${piece.file}.json`), 'utf8')) as Kept;
    for (const name of filesOf(kept)) {
      if (files.has(name)) continue;
      const { sha, asset } = await addAsset(name, (await demoFile(name, shipped())).bytes);
      files.set(name, { sha, asset });
    }
    pieces.push({ file: piece.file, job: laidOut(piece, kept, files) });
  }
  return pieces;
}
