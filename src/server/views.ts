import 'server-only';
import { pictureAsset, type Asset, type Job, type ProfileName } from '@/core/job';
import type { Finding } from '@/core/check';
import { openProfile, type OpenProfile } from '@/bring-in/profile';
import { checkDesk, openDesk, previewPng, readProfile, screenPng } from '@/output';
import { assetFacts, assetStore, cached } from './assets';
import { Problem } from './problem';
import { revision } from './jobs';

const profiles = new Map<ProfileName, Promise<OpenProfile>>();

function profile(name: ProfileName): Promise<OpenProfile> {
  const open = profiles.get(name) ?? readProfile(name).then((bytes) => openProfile(name, bytes));
  profiles.set(name, open);
  return open;
}

/** Longest side of a picture on the bench, pixels. */
const BENCH_PIXELS = 1600;

/** A picture as the paper will show it, for the bench; made once and kept. */
export async function benchPicture(sha: string, profileName: ProfileName): Promise<Uint8Array> {
  const asset: Asset = await assetFacts(sha);
  const facts = pictureAsset({ [sha]: asset }, sha);
  if (!facts) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  return cached(`${sha}-${profileName}-${BENCH_PIXELS}.png`, async () => {
    const bytes = await assetStore.get(sha);
    if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
    const share = Math.min(1, BENCH_PIXELS / Math.max(facts.width, facts.height));
    const size = {
      width: Math.max(1, Math.round(facts.width * share)),
      height: Math.max(1, Math.round(facts.height * share)),
    };
    return screenPng(await profile(profileName), bytes, facts, size);
  });
}

/** The front of a job, small, for the board. */
export async function thumbnail(id: string, number: number): Promise<Uint8Array> {
  return cached(`thumb-${id}-${number}.png`, async () => {
    const desk = await openDesk(await revision(id, number), assetStore);
    const [front] = desk.sides;
    if (!front) throw new Problem(404, 'This job has no side to show.', 'Open it and set its size.');
    return previewPng(desk, front, 480);
  });
}

/** What stands in a job’s way, for the board. */
export async function findingsOf(id: string, number: number): Promise<readonly Finding[]> {
  const text = await cached(`checks-${id}-${number}.json`, async () => {
    const job: Job = await revision(id, number);
    return new TextEncoder().encode(JSON.stringify(checkDesk(await openDesk(job, assetStore))));
  });
  return JSON.parse(new TextDecoder().decode(text)) as readonly Finding[];
}
