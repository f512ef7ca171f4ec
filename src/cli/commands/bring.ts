import { randomUUID } from 'node:crypto';
import { mkdir } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { MAX_ASSET_BYTES, readAsset } from '../../bring-in/asset';
import { artElement, pictureFrame } from '../../core/compose';
import { readRows } from '../../core/data';
import { TABLE_BOUNDS, withTableWords } from '../../core/element';
import {
  blankOf,
  elementsOn,
  rulesFor,
  withProfile,
  withSide,
  type Asset,
  type Element,
  type Job,
  type Piece,
  withPiece,
} from '../../core/job';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { readBounded, readText } from '../files';
import { openJobFile, sha256 } from '../job-file';
import { jobText, print, say, writeWhole } from '../say';

interface Place {
  readonly piece: Piece;
  readonly side: string;
  /** Name or id of the element that takes the file. */
  readonly into: string | undefined;
  /** Page of a document. */
  readonly page: number;
}

/** Brings files into a job, as the hand does on the bench: their hash and what is in them are found by themselves. */
export async function run(args: Arguments): Promise<number> {
  const [path, ...files] = args.words;
  if (!path || files.length === 0)
    throw new UsageError('Name the job and the files, for example: ys bring flyer.ysjob.json moon.jpg');
  const folder = args.flags.get('assets') ?? join(dirname(path), 'assets');
  let { job } = await openJobFile(path, folder);
  const kept: { readonly sha: string; readonly bytes: Uint8Array }[] = [];
  const said: unknown[] = [];
  for (const file of files) {
    const place = placeIn(job, args);
    if (/\.(csv|tsv)$/i.test(file)) {
      job = withRows(job, place, file, await readText(file));
      said.push({ file, kind: 'rows', into: place.into });
      continue;
    }
    const bytes = await readBounded(file, MAX_ASSET_BYTES);
    const { loadLittleCms } = await import('../../output/profiles');
    const read = await readAsset(basename(file), bytes, { littleCms: loadLittleCms });
    if (!read.ok) throw new UsageError(read.problem);
    const sha = sha256(bytes);
    kept.push({ sha, bytes });
    if (read.left.length > 0) say(`${file} came without: ${read.left.join('; ')}.`);
    const { job: next, element } = withFile(job, place, sha, read.asset);
    job = next;
    said.push({ file, sha, asset: read.asset, element });
  }
  // Nothing is written before everything was read.
  await mkdir(folder, { recursive: true });
  for (const { sha, bytes } of kept) await writeWhole(join(folder, sha), bytes);
  const out = args.flags.get('out') ?? path;
  await writeWhole(out, jobText(job));
  print(said);
  return 0;
}

function placeIn(job: Job, args: Arguments): Place {
  const [piece] = job.pieces;
  if (!piece) throw new UsageError('The job has no piece.');
  const names = blankOf(job, piece).surfaces.map((s) => s.name);
  const side = args.flags.get('side') ?? names[0] ?? 'front';
  if (!names.includes(side)) throw new UsageError(`There is no side “${side}”. There are: ${names.join(', ')}.`);
  return { piece, side, into: args.flags.get('into'), page: wholeNumber(args, 'page', 1) };
}

/** The job with one element of a side changed. */
function withElement(job: Job, { piece, side, into }: Place, change: (element: Element) => Element | string): Job {
  const elements = elementsOn(piece, side);
  const taking = elements.filter((e) => e.id === into || e.name === into);
  const [only] = taking;
  if (!only) throw new UsageError(`Nothing on the ${side} is called “${into ?? ''}”.`);
  if (taking.length > 1)
    throw new UsageError(`${taking.length} elements on the ${side} are called “${into ?? ''}”. Name one by its id.`);
  const changed = change(only);
  if (typeof changed === 'string') throw new UsageError(`“${into ?? ''}” ${changed}`);
  return withPiece(
    job,
    withSide(
      piece,
      side,
      elements.map((e) => (e === only ? changed : e)),
    ),
  );
}

/** A file in a job: in the element that is named, or in one of its own; a font and a profile need no place. */
function withFile(
  job: Job,
  place: Place,
  sha: string,
  asset: Asset,
): { readonly job: Job; readonly element: string | null } {
  const known: Job = { ...job, assets: { ...job.assets, [sha]: asset } };
  switch (asset.kind) {
    case 'font':
      return { job: known, element: null };
    case 'profile':
      return { job: withProfile(job, sha, asset), element: null };
    case 'picture':
    case 'drawing':
    case 'document':
      if (place.into === undefined) return placed(known, place, newElement(known, place, sha, asset));
      return { job: withElement(known, place, (e) => taken(e, sha, asset, place.page)), element: place.into };
  }
}

type Shown = Exclude<Asset, { readonly kind: 'font' | 'profile' }>;

function taken(element: Element, sha: string, asset: Shown, page: number): Element | string {
  if (element.kind === 'picture' && asset.kind === 'picture') return { ...element, picture: sha };
  if (element.kind === 'vector' && asset.kind === 'drawing') return { ...element, drawing: sha };
  if (element.kind === 'page' && asset.kind === 'document')
    return { ...element, document: sha, page: pageOf(asset, page) };
  return `is a ${element.kind} and cannot show a ${asset.kind}.`;
}

function pageOf(asset: Extract<Asset, { readonly kind: 'document' }>, page: number): number {
  if (page <= asset.pages.length) return page;
  throw new UsageError(`“${asset.name}” has ${asset.pages.length} pages; there is no page ${page}.`);
}

const placed = (job: Job, { piece, side }: Place, element: Element) => ({
  job: withPiece(job, withSide(piece, side, [...elementsOn(piece, side), element])),
  element: element.id,
});

function newElement(job: Job, { piece, side, page }: Place, sha: string, asset: Shown): Element {
  const blank = blankOf(job, piece);
  const surface = blank.surfaces.find((s) => s.name === side);
  if (!surface) throw new UsageError(`There is no side “${side}”.`);
  const id = randomUUID().slice(0, 12);
  switch (asset.kind) {
    case 'picture': {
      const isFirst = elementsOn(piece, side).length === 0;
      return pictureFrame(id, sha, asset, surface.boxes, isFirst, rulesFor(job, piece).ppi.value * blank.scale);
    }
    case 'drawing':
      return artElement(id, sha, asset, asset, surface.boxes);
    case 'document': {
      const number = pageOf(asset, page);
      const size = asset.pages[number - 1] ?? { width: 100, height: 100 };
      const element = artElement(id, sha, asset, size, surface.boxes);
      return element.kind === 'page' ? { ...element, page: number } : element;
    }
  }
}

function withRows(job: Job, place: Place, file: string, text: string): Job {
  if (place.into === undefined) throw new UsageError(`--into names the table that takes the rows of “${file}”.`);
  const read = readRows(text, TABLE_BOUNDS);
  if (!read.ok) throw new UsageError(`${file}: ${read.problem}`);
  return withElement(job, place, (element) =>
    element.kind === 'table' ? withTableWords(element, read.rows) : `is a ${element.kind} and takes no rows.`,
  );
}
