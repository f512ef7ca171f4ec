import { formatOf } from '../core/format';
import {
  Element,
  JOB_VERSION,
  Job,
  Placement,
  plainParagraphs,
  startJob,
  unitThoughtIn,
  type ElementInput,
  type ElementKind,
  type ElementOf,
  type ParagraphLook,
  type PictureAsset,
} from '../core/job';
import type { JobUnit } from '../core/measure';
import type { AssetSource } from '../output';

/**
 * Jobs for the tests, made of the fewest words.
 * @param piece what differs from a plain flyer: facts of the piece and decisions of its kind, side by side
 */
export function makeJob(
  front: readonly Element[] = [],
  more: Partial<Job> = {},
  piece: Record<string, unknown> = {},
): Job {
  const all = { kind: 'flyer', size: { width: 148, height: 210 }, sides: 1, ...piece };
  const parameters = formatOf(all.kind)?.parameters ?? {};
  const isDecision = ([name]: readonly [string, unknown]) => Object.hasOwn(parameters, name);
  const isFact = ([name]: readonly [string, unknown]) => !Object.hasOwn(parameters, name) && name !== 'sides';
  return Job.parse({
    format: 'yellow-sheet-job',
    version: JOB_VERSION,
    id: 'test-job',
    name: 'Test job',
    ...more,
    pieces: [
      {
        id: 'flyer',
        name: 'Flyer',
        surfaces: { front, back: [] },
        ...Object.fromEntries(Object.entries(all).filter(isFact)),
        decisions: Object.fromEntries(Object.entries(all).filter(isDecision)),
      },
    ],
  });
}

/** A job of any kind from parameters as typed. */
export function begin(kind: string, set: Readonly<Record<string, string>> = {}, unit?: JobUnit): Job {
  const format = formatOf(kind);
  if (!format) throw new Error(`There is no ${kind}.`);
  const about = { id: 'test-job', name: 'Test job', unit: unit ?? unitThoughtIn(Object.values(set)) };
  const started = startJob(format, set, about);
  if (!started.ok) throw new Error(`${started.parameter}: ${started.error.message}`);
  return started.job;
}

const at = (x: number, y: number, width: number, height: number): Placement =>
  Placement.parse({ against: { box: 'trim' }, x: { start: x, size: width }, y: { start: y, size: height } });

type Bounds = readonly [x: number, y: number, width: number, height: number];
type Input<K extends ElementKind> = Extract<ElementInput, { kind: K }>;
type More<K extends ElementKind> = Partial<Input<K>>;

/** An element with everything usual left out. */
export function element<K extends ElementKind>(input: Input<K>): ElementOf<K> {
  return Element.parse(input) as ElementOf<K>;
}

const CYAN = { kind: 'process', c: 100, m: 0, y: 0, k: 0 } as const;
const BLACK = { kind: 'process', c: 0, m: 0, y: 0, k: 100 } as const;

export const shape = (id: string, r: Bounds, form: Input<'shape'>['shape'], more: More<'shape'> = {}) =>
  element<'shape'>({ kind: 'shape', id, name: id, placement: at(...r), shape: form, fill: CYAN, ...more });

export const box = (id: string, r: Bounds, more: More<'shape'> = {}) => shape(id, r, { form: 'rectangle' }, more);

export const words = (
  id: string,
  text: string,
  r: Bounds,
  look: Partial<ParagraphLook> = {},
  more: More<'text'> = {},
) =>
  element<'text'>({
    kind: 'text',
    id,
    name: id,
    placement: at(...r),
    paragraphs: plainParagraphs(text),
    look: { sizePt: 12, ...look },
    ...more,
  });

export const picture = (id: string, sha: string | null, r: Bounds, more: More<'picture'> = {}) =>
  element<'picture'>({ kind: 'picture', id, name: id, placement: at(...r), picture: sha, ...more });

export const line = (id: string, r: Bounds, more: More<'line'> = {}) =>
  element<'line'>({ kind: 'line', id, name: id, placement: at(...r), stroke: { paint: BLACK, widthPt: 1 }, ...more });

export const pictureFacts = (width: number, height: number): PictureAsset => ({
  kind: 'picture',
  name: 'test.png',
  format: 'png',
  width,
  height,
  colour: 'rgb',
  profile: null,
  alpha: false,
});

/** Bytes by hash, in memory. */
export const inMemory = (assets: ReadonlyMap<string, Uint8Array> = new Map()): AssetSource => ({
  get: (sha) => Promise.resolve(assets.get(sha)),
});
