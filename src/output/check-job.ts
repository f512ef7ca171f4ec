import { createHash } from 'node:crypto';
import { readAs } from '../bring-in/asset';
import { assetsUsed } from '../core/compose';
import type { Finding } from '../core/check';
import { blankOf, elementKind, elementsOf, type Asset, type Job } from '../core/job';
import type { AssetSource } from './assets';
import { checkDesk, openDesk } from './desk';
import { loadLittleCms } from './profiles';
import { checkRecords } from './records';

const WORDS: Readonly<Record<Asset['kind'], string>> = {
  picture: 'picture',
  drawing: 'drawing',
  document: 'PDF',
  font: 'font',
  profile: 'output profile',
  data: 'records',
};

/** What is wrong with the file of an asset; undefined when it is sound. */
async function faultOf(sha: string, asset: Asset, assets: AssetSource): Promise<string | undefined> {
  const what = `The file of the ${WORDS[asset.kind]} “${asset.name}”`;
  const bytes = await assets.get(sha);
  if (!bytes) return `${what} is not here. Bring it in again; its place is kept.`;
  if (createHash('sha256').update(bytes).digest('hex') !== sha)
    return `${what} is cut short, or is another than the job was made with. Bring the right one in again.`;
  const read = await readAs(asset.kind, asset.name, bytes, { littleCms: loadLittleCms });
  return read.ok ? undefined : read.problem;
}

/** Files that are used and not sound, by hash, with what is wrong. */
export async function unsoundFiles(job: Job, assets: AssetSource): Promise<ReadonlyMap<string, string>> {
  const found = new Map<string, string>();
  for (const sha of assetsUsed(job)) {
    const asset = job.assets[sha];
    const fault = asset && (await faultOf(sha, asset, assets));
    if (fault !== undefined) found.set(sha, fault);
  }
  return found;
}

/** Where a file is used: its first element, or the first side of the job. */
function findingFor(job: Job, sha: string, message: string): Finding {
  const uses = job.pieces.flatMap((piece) =>
    elementsOf(piece).flatMap(({ element, side }) =>
      elementKind(element.kind).file(element) === sha ? [{ piece, side, element }] : [],
    ),
  );
  const [use] = uses;
  const piece = use?.piece ?? job.pieces[0];
  const surfaces = piece ? blankOf(job, piece).surfaces : [];
  const surface = surfaces.find((s) => s.name === use?.side) ?? surfaces[0];
  return {
    rule: 'file',
    severity: 'fault',
    piece: piece?.id ?? '',
    surface: surface?.name ?? '',
    element: use?.element.id ?? null,
    where: surface?.boxes.trim ?? { x: 0, y: 0, width: 0, height: 0 },
    message,
    why: 'What is not there, or is damaged, cannot be printed.',
    fixes: [],
  };
}

/** The job without the files that are not sound, so that the rest of it can be looked at. */
function withoutUnsound(job: Job, unsound: ReadonlyMap<string, string>): Job {
  const { profile } = job.output;
  if (!profile?.startsWith('icc-') || !unsound.has(profile.slice(4))) return job;
  return { ...job, output: { ...job.output, profile: undefined } };
}

/** Every finding of a job: of its files, and of what is drawn with those that are sound. */
export async function checkJob(job: Job, assets: AssetSource): Promise<readonly Finding[]> {
  const unsound = await unsoundFiles(job, assets);
  const sound: AssetSource = { get: (sha) => (unsound.has(sha) ? Promise.resolve(undefined) : assets.get(sha)) };
  const desk = await openDesk(withoutUnsound(job, unsound), sound);
  const ofFiles = [...unsound].map(([sha, message]) => findingFor(job, sha, message));
  return [...ofFiles, ...checkDesk(desk), ...checkRecords(desk)];
}
