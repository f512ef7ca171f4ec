import 'server-only';
import { elementsOf, pictureAsset, type Asset, type Job } from '@/core/job';
import type { ProfileName } from '@/core/shop';
import type { Finding } from '@/core/check';
import type { OpenProfile } from '@/bring-in/profile';
import { checkDesk, openDesk, openOutputProfile, blankPng, previewPng, screenImage } from '@/output';
import { assetFacts, assetStore, cached } from './assets';
import { Problem } from './problem';
import { revision } from './jobs';

const profiles = new Map<ProfileName, Promise<OpenProfile>>();

function profile(name: ProfileName): Promise<OpenProfile> {
  const open = profiles.get(name) ?? openOutputProfile(name);
  profiles.set(name, open);
  return open;
}

/** Longest side of a picture on the bench, pixels. */
const BENCH_PIXELS = 1600;

/** A picture as the paper will show it, for the bench; made once and kept. */
export async function benchPicture(
  sha: string,
  profileName: ProfileName,
): Promise<{ readonly bytes: Uint8Array; readonly type: 'image/jpeg' | 'image/png' }> {
  const asset: Asset = await assetFacts(sha);
  const facts = pictureAsset({ [sha]: asset }, sha);
  if (!facts) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  const type = facts.alpha ? 'image/png' : 'image/jpeg';
  const bytes = await cached(`${sha}-${profileName}-${BENCH_PIXELS}`, async () => {
    const bytes = await assetStore.get(sha);
    if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
    const share = Math.min(1, BENCH_PIXELS / Math.max(facts.width, facts.height));
    const size = {
      width: Math.max(1, Math.round(facts.width * share)),
      height: Math.max(1, Math.round(facts.height * share)),
    };
    return (await screenImage(await profile(profileName), bytes, facts, size)).data;
  });
  return { bytes, type };
}

/** The front of a job, small, for the board. */
export async function thumbnail(id: string, number: number): Promise<Uint8Array> {
  return cached(`thumb-${id}-${number}.png`, async () => {
    const job = await revision(id, number);
    const desk = await openDesk(job, assetStore);
    const [front] = desk.sides;
    if (!front) throw new Problem(404, 'This job has no side to show.', 'Open it and set its size.');
    // What nobody laid anything on yet is told by its shape, its folds and its lines.
    const isBare = job.pieces.every((piece) => elementsOf(piece).length === 0);
    return isBare ? blankPng(front.surface) : previewPng(desk, front, 480);
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
