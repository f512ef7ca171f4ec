import { createHash } from 'node:crypto';
import { plateNames } from '../core/drawing';
import type { Job } from '../core/job';
import { proofSheet, together } from '../core/paperwork';
import { formatSize } from '../core/measure';
import { CannotExport } from './cannot-export';
import { openDesk, type Desk, type DeskSide } from './desk';
import type { OutputFile, Progress } from './file';
import { fileStem } from './file-name';
import { pngAsset, previewPdf, previewPng } from './preview';

/** Longest side of the picture of a side, pixels: enough to read it on a screen, too little to print from. */
const PIXELS = 1400;

/** What is known of the state that a proof shows. */
export interface ProofState {
  readonly at: Date;
  /** The number under which it was saved, where it was. */
  readonly revision: number | undefined;
}

/** A proof for the client: a page for each side, with its figures and boxes to tick. */
export async function proofFile(desk: Desk, { at, revision }: ProofState, progress: Progress): Promise<OutputFile> {
  const { job, sides } = desk;
  const bytes = new Map<string, Uint8Array>();
  const pages: Job[] = [];
  for (const [i, side] of sides.entries()) {
    progress((0.8 * i) / sides.length, `Drawing the ${side.surface.name}`);
    const png = await previewPng(desk, side, PIXELS);
    const sha = createHash('sha256').update(png).digest('hex');
    bytes.set(sha, png);
    pages.push(proofSheet(factsOf(job, side, i, { at, revision, count: sides.length, sha, png }), i + 1));
  }
  const [first, ...others] = pages;
  if (!first) throw new CannotExport('The job has no side. Begin one under Size.');
  progress(0.85, 'Setting the pages');
  const proof = together([first, ...others]);
  const made = await openDesk(proof, { get: (sha) => Promise.resolve(bytes.get(sha)) });
  return {
    name: `${fileStem(job.name)}-proof.pdf`,
    type: 'application/pdf',
    bytes: await previewPdf(made, at, progress),
  };
}

/** The four inks of the process, as they are written short. */
const SHORT: Readonly<Record<string, string>> = { Cyan: 'C', Magenta: 'M', Yellow: 'Y', Black: 'K' };

interface Shown extends ProofState {
  readonly count: number;
  readonly sha: string;
  readonly png: Uint8Array;
}

function factsOf(job: Job, side: DeskSide, i: number, { at, revision, count, sha, png }: Shown) {
  const { surface, blank } = side;
  const inks = plateNames(side.drawing.frames.flatMap(({ items }) => items));
  const figures: (readonly [string, string])[] = [
    ['Finished size', formatSize(blank.finished, job.unit)],
    ['Inks', inks.map((ink) => SHORT[ink] ?? ink).join(' ')],
    ['Paper', job.stock.name || job.stock.kind],
    ['Copies', job.quantity === null ? 'not decided yet' : String(job.quantity)],
    ['Printer', job.house.name || 'not chosen yet'],
    ['Due', job.due ?? 'not decided yet'],
  ];
  return {
    name: job.name,
    client: job.client,
    side: surface.name,
    page: `page ${i + 1} of ${count}`,
    version: revision === undefined ? 'Proof' : `Proof of version ${revision}`,
    day: at.toISOString().slice(0, 10),
    figures,
    picture: { sha, asset: pngAsset(png) },
    language: job.language,
  };
}
