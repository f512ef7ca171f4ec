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
import { kitOf } from '@/core/job';
import { saveRecord } from './books';
import { createJob } from './jobs';
import { benchPicture, thumbnail } from './views';
import { store } from './store/database';

/** The piece that is opened first. */
const FIRST = 'meteor-night';

/** Draws the demo’s pictures and lays its jobs on the board, once; what the user changed since then stays. */
export async function loadDemo(): Promise<void> {
  const { models, write } = await store();
  if (await models.notes.findByPk('demo-loaded')) return;
  for (const job of begun()) await createJob(job, 'Demo');
  const files = new Map<string, BroughtIn>();
  for (const piece of LAID_OUT) {
    const kept = JSON.parse(await readFile(shipped('assets', 'demo', `${piece.file}.json`), 'utf8')) as Kept;
    for (const name of filesOf(kept)) {
      if (files.has(name)) continue;
      const { sha, asset } = await addAsset(name, (await demoFile(name)).bytes);
      files.set(name, { sha, asset });
    }
    const job = laidOut(piece, kept, files);
    const { id, head } = await createJob(job, 'Demo');
    if (piece.file === KIT_PIECE) await saveRecord('kits', job.client, withColourNames(kitOf(job, job.client)));
    if (piece.file !== FIRST) continue;
    await createJob(firstProof(job), 'Demo');
    // So that the first look at it need not wait.
    for (const [sha, { kind }] of Object.entries(job.assets))
      if (kind === 'picture') await benchPicture(sha, 'coated-fogra39', undefined);
    await thumbnail(id, head);
  }
  await write((transaction) =>
    models.notes.create({ name: 'demo-loaded', value: new Date().toISOString() }, { transaction }),
  );
}
