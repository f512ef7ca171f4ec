import { formatOf } from '../core/format';
import { Job, startJob, unitThoughtIn, type Element, type PictureAsset } from '../core/job';
import type { JobUnit } from '../core/measure';
import type { AssetSource } from '../output';

/** Jobs for the tests, made of the fewest words. */
export function makeJob(
  front: readonly Element[] = [],
  more: Partial<Job> = {},
  piece: Record<string, unknown> = {},
): Job {
  return Job.parse({
    format: 'yellow-sheet-job',
    version: 1,
    id: 'test-job',
    name: 'Test job',
    ...more,
    pieces: [
      {
        kind: 'flyer',
        id: 'flyer',
        name: 'Flyer',
        size: { width: 148, height: 210 },
        sides: 1,
        surfaces: { front, back: [] },
        ...piece,
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

const at = (x: number, y: number, width: number, height: number): Element['placement'] => ({
  against: { box: 'trim' },
  x: { start: x, size: width },
  y: { start: y, size: height },
  rotate: 0,
});

type More<K extends Element['kind']> = Partial<Extract<Element, { kind: K }>>;

export const box = (
  id: string,
  r: readonly [number, number, number, number],
  more: More<'rectangle'> = {},
): Element => ({
  kind: 'rectangle',
  id,
  name: id,
  opacity: 1,
  placement: at(...r),
  atTrim: 'bleeds',
  fill: { kind: 'process', c: 100, m: 0, y: 0, k: 0 },
  stroke: null,
  radius: 0,
  ...more,
});

export const words = (
  id: string,
  text: string,
  r: readonly [number, number, number, number],
  style: Partial<Extract<Element, { kind: 'text' }>['style']> = {},
  more: More<'text'> = {},
): Element => ({
  kind: 'text',
  id,
  name: id,
  opacity: 1,
  placement: at(...r),
  text,
  style: {
    family: 'Source Sans 3',
    weight: 400,
    italic: false,
    sizePt: 12,
    leadingPt: null,
    tracking: 0,
    case: 'typed',
    paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 },
    align: 'left',
    hyphenate: false,
    ...style,
  },
  vertical: 'top',
  inset: { top: 0, right: 0, bottom: 0, left: 0 },
  language: null,
  ...more,
});

export const picture = (
  id: string,
  sha: string | null,
  r: readonly [number, number, number, number],
  more: More<'picture'> = {},
): Element => ({
  kind: 'picture',
  id,
  name: id,
  opacity: 1,
  placement: at(...r),
  atTrim: 'bleeds',
  picture: sha,
  fit: { mode: 'fill' },
  focus: { x: 0.5, y: 0.5 },
  ...more,
});

export const line = (id: string, r: readonly [number, number, number, number], more: More<'line'> = {}): Element => ({
  kind: 'line',
  id,
  name: id,
  opacity: 1,
  placement: at(...r),
  slope: 'down',
  stroke: { paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, widthPt: 1, dash: 'solid' },
  ...more,
});

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
