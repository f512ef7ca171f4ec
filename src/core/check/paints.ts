import type { Build } from '../colour';
import { leavesOf, type Frame, type Ink } from '../drawing';
import type { SolidPaint } from '../job';

/** The inks that an element lays down. */
export const inksOf = (frame: Frame): readonly Extract<Ink, { kind: 'process' }>[] =>
  leavesOf(frame.items).flatMap((item) => {
    const inks = item.kind === 'path' ? [item.fill, item.stroke?.ink] : item.kind === 'glyphs' ? [item.ink] : [];
    return inks.flatMap((ink) => (ink ? processInks(ink) : []));
  });

/** What an ink lays down; a gradient has one at each stop. */
const processInks = (ink: Ink): readonly Extract<Ink, { kind: 'process' }>[] =>
  ink.kind === 'process'
    ? [ink]
    : ink.kind === 'gradient'
      ? ink.stops.map(({ build, spots }) => ({ kind: 'process', build, ...(spots && { spots }), overprint: false }))
      : [];

export const asPaint = (build: Build): SolidPaint => ({ kind: 'process', ...build });
