import 'server-only';
import sharp from 'sharp';
import { begun, meteorNight, meteorSky } from '@/demo';
import { addAsset } from './assets';
import { createJob } from './jobs';
import { benchPicture, thumbnail } from './views';
import { store } from './store/database';

/** A5 with 3 mm of bleed at 300 ppi. */
const SKY = { width: 1819, height: 2551 };

/** Draws the demo’s pictures and lays its jobs on the board, once; what the user changed since then stays. */
export async function loadDemo(): Promise<void> {
  const { models, write } = await store();
  if (await models.notes.findByPk('demo-loaded')) return;
  const { Resvg } = await import('@resvg/resvg-js');
  const png = new Resvg(meteorSky(SKY.width, SKY.height), { font: { loadSystemFonts: false } }).render().asPng();
  const jpeg = await sharp(png)
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .withMetadata({ density: 300 })
    .toBuffer();
  const { sha, asset } = await addAsset('sky-over-the-moor.jpg', jpeg);
  if (asset.kind !== 'picture') throw new Error('The demo’s sky is no picture.');
  for (const job of begun()) await createJob(job, 'Demo');
  const job = await createJob(meteorNight({ sha, asset }), 'Demo');
  // So that the first look at it need not wait.
  await benchPicture(sha, 'coated-fogra39', undefined);
  await thumbnail(job.id, job.head);
  await write((transaction) =>
    models.notes.create({ name: 'demo-loaded', value: new Date().toISOString() }, { transaction }),
  );
}
