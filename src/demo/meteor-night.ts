import { Job, type ElementInput, type PictureAsset, type SolidPaint } from '../core/job';

type Placement = ElementInput['placement'];

const INK: SolidPaint = { kind: 'process', c: 88, m: 78, y: 38, k: 36 };
const PALE: SolidPaint = { kind: 'process', c: 2, m: 6, y: 26, k: 0 };
const YELLOW: SolidPaint = { kind: 'process', c: 0, m: 14, y: 78, k: 0 };
const EMBER: SolidPaint = { kind: 'process', c: 4, m: 62, y: 68, k: 0 };
const PAPER: SolidPaint = { kind: 'paper' };
const BLACK: SolidPaint = { kind: 'process', c: 0, m: 0, y: 0, k: 100 };

const whole: Placement = { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 }, rotate: 0 };

/** A frame in the safe area, as wide as it, at a distance from its top. */
const down = (start: number, size: number, left = 0): Placement => ({
  against: { box: 'safe' },
  x: { start: left, end: 0 },
  y: { start, size },
  rotate: 0,
});

/** A frame in the safe area, as wide as it, at a distance from its bottom. */
const up = (end: number, size: number): Placement => ({
  against: { box: 'safe' },
  x: { start: 0, end: 0 },
  y: { end, size },
  rotate: 0,
});

interface Setting {
  readonly family: string;
  readonly weight?: number;
  readonly sizePt: number;
  readonly leadingPt?: number;
  readonly tracking?: number;
  readonly paint: SolidPaint;
  readonly upper?: true;
  readonly align?: 'left' | 'centre' | 'right' | 'justified';
  readonly hyphenate?: true;
}

const text = (id: string, name: string, words: string, placement: Placement, s: Setting): ElementInput => ({
  kind: 'text',
  id,
  name,
  placement,
  opacity: 1,
  text: words,
  style: {
    family: s.family,
    weight: s.weight ?? 400,
    italic: false,
    sizePt: s.sizePt,
    leadingPt: s.leadingPt ?? null,
    tracking: s.tracking ?? 0,
    case: s.upper ? 'upper' : 'typed',
    paint: s.paint,
    align: s.align ?? 'left',
    hyphenate: s.hyphenate ?? false,
  },
  vertical: 'top',
  inset: { top: 0, right: 0, bottom: 0, left: 0 },
  language: null,
});

const PROGRAMME: readonly (readonly [time: string, what: string])[] = [
  ['20:30', 'Gates and hot soup at the hut'],
  ['21:00', 'How to look up: a talk for beginners'],
  ['21:30', 'Telescopes open: Saturn, then the moon'],
  ['22:15', 'Walk out to the dark field, red lamps only'],
  ['22:30', 'Counting meteors, lying down'],
  ['00:30', 'Last look, cocoa, and the bus back'],
];

/** Rows of the programme on the back: a time and what happens, one grid row each. */
const programme: readonly ElementInput[] = PROGRAMME.flatMap(([time, what], i): ElementInput[] => {
  const y = { start: 64 + i * 14, size: 8 };
  const x = { start: 0, size: 22 };
  return [
    text(`time-${i}`, '', time, { against: { box: 'safe' }, x, y, rotate: 0 }, {
      family: 'IBM Plex Mono', weight: 600, sizePt: 12, paint: INK,
    }),
    text(`what-${i}`, '', what, { against: { box: 'safe' }, x: { start: 24, end: 0 }, y, rotate: 0 }, {
      family: 'Source Sans 3', sizePt: 12, paint: BLACK,
    }),
    {
      kind: 'line', id: `rule-${i}`, name: '', opacity: 1, slope: 'down',
      placement: { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: 73.5 + i * 14, size: 0 }, rotate: 0 },
      stroke: { paint: BLACK, widthPt: 0.35, dash: 'solid' },
    },
  ];
}); // prettier-ignore

/**
 * The meteor-night flyer, with two faults left in it for the checks to find: the band on the front stops at the trim,
 * and the credit line stands too near the knife.
 */
export function meteorNight(sky: { readonly sha: string; readonly asset: PictureAsset }): Job {
  const front: ElementInput[] = [
    {
      kind: 'picture', id: 'sky', name: 'Sky over the moor', placement: whole, opacity: 1, atTrim: 'bleeds',
      picture: sky.sha, fit: { mode: 'fill' }, focus: { x: 0.5, y: 1 },
    },
    text('headline', 'Headline', 'Meteor\nnight', down(-4, 132), {
      family: 'League Gothic', sizePt: 178, leadingPt: 146, paint: PALE, upper: true,
    }),
    text('tagline', 'Tagline', 'Lie down, look up,\ncount to sixty.', down(113, 20), {
      family: 'Lora', sizePt: 19, leadingPt: 24, paint: PAPER,
    }),
    {
      kind: 'shape', id: 'band', name: 'Date band', opacity: 1, atTrim: 'stops', shape: { form: 'rectangle' }, fill: YELLOW,
      placement: { against: { box: 'trim' }, x: { start: 44, end: 0 }, y: { end: 34, size: 24 }, rotate: 0 },
    },
    text('date', 'Date', 'Wed 12 August, from 20:30', { against: { box: 'safe' }, x: { start: 46, end: 0 }, y: { end: 40, size: 12 }, rotate: 0 }, {
      family: 'Oswald', weight: 600, sizePt: 20, leadingPt: 24, paint: INK, upper: true,
    }),
    text('place', 'Place', 'Quillrook observatory, above Hollin Ford', { against: { box: 'safe' }, x: { start: 46, end: 0 }, y: { end: 32, size: 7 }, rotate: 0 }, {
      family: 'Source Sans 3', weight: 600, sizePt: 12.5, leadingPt: 15, paint: INK,
    }),
    text('society', 'Society', 'Quillrook Dark-Sky Society', up(2, 9), {
      family: 'Familjen Grotesk', weight: 700, sizePt: 15, leadingPt: 18, paint: PALE,
    }),
    text('credit', 'Credit', 'Free entry. Bring a blanket; leave white lamps at home.', { against: { box: 'trim' }, x: { start: 5, end: 5 }, y: { end: 1.6, size: 4.6 }, rotate: 0 }, {
      family: 'Source Sans 3', sizePt: 8.5, leadingPt: 10.5, paint: PAPER,
    }),
  ]; // prettier-ignore
  const back: ElementInput[] = [
    { kind: 'shape', shape: { form: 'rectangle' }, id: 'ground', name: 'Ground', placement: whole, opacity: 1, atTrim: 'bleeds', fill: { kind: 'process', c: 2, m: 3, y: 14, k: 0 } },
    {
      kind: 'shape', shape: { form: 'rectangle' }, id: 'head', name: 'Head', opacity: 1, atTrim: 'bleeds', fill: INK,
      placement: { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, size: 56 }, rotate: 0 },
    },
    {
      kind: 'shape', shape: { form: 'ellipse' }, id: 'moon', name: 'Moon', opacity: 1, fill: YELLOW,
      placement: { against: { box: 'safe' }, x: { end: 6, size: 26 }, y: { start: 8, size: 26 }, rotate: 0 },
    },
    {
      kind: 'shape', shape: { form: 'ellipse' }, id: 'shadow', name: 'Moon’s shadow', opacity: 1, fill: INK,
      placement: { against: { box: 'safe' }, x: { end: 1, size: 24 }, y: { start: 5, size: 24 }, rotate: 0 },
    },
    text('what-is-on', 'What is on', 'What\nis on', down(0, 47), {
      family: 'League Gothic', sizePt: 64, leadingPt: 56, paint: PALE, upper: true,
    }),
    ...programme,
    text('why-title', 'Why dark', 'Why we keep it dark', { against: { box: 'columns', from: 1, to: 2 }, x: { start: 0, end: 0 }, y: { end: 36, size: 7 }, rotate: 0 }, {
      family: 'Familjen Grotesk', weight: 700, sizePt: 12, leadingPt: 14.4, paint: INK,
    }),
    text('why-left', 'Why dark, left', 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. Please use red light only, and point it at the ground.', { against: { box: 'columns', from: 1, to: 1 }, x: { start: 0, end: 0 }, y: { end: 6, size: 29 }, rotate: 0 }, {
      family: 'Source Serif 4', sizePt: 9.5, leadingPt: 13, paint: BLACK, align: 'justified', hyphenate: true,
    }),
    text('why-right', 'Why dark, right', 'The bus leaves Hollin Ford bridge at ten past eight and waits for everybody. If cloud comes in, we try again the night after.', { against: { box: 'columns', from: 2, to: 2 }, x: { start: 0, end: 0 }, y: { end: 6, size: 29 }, rotate: 0 }, {
      family: 'Source Serif 4', sizePt: 9.5, leadingPt: 13, paint: BLACK, align: 'justified', hyphenate: true,
    }),
    {
      kind: 'shape', id: 'foot', name: 'Foot band', opacity: 1, atTrim: 'bleeds', shape: { form: 'rectangle' }, fill: EMBER,
      placement: { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { end: 0, size: 6 }, rotate: 0 },
    },
  ]; // prettier-ignore
  return Job.parse({
    format: 'yellow-sheet-job',
    version: 2,
    id: 'demo-meteor-night',
    name: 'Meteor-night flyer',
    client: 'Quillrook Dark-Sky Society',
    stage: 'in work',
    due: '2026-12-11',
    quantity: 2500,
    notes: 'Handed out at the library and the bus stops. Same night as last year, one week later if cloudy.',
    stock: { name: 'Silk', kind: 'coated', grammage: 150 },
    unit: 'mm',
    language: 'en-GB',
    assets: { [sky.sha]: sky.asset },
    pieces: [
      {
        kind: 'flyer',
        id: 'flyer',
        name: 'Flyer',
        size: { width: 148, height: 210 },
        sides: 2,
        grid: { columns: 2, gutter: 6, rows: 1, rowGutter: 4 },
        surfaces: { front, back },
      },
    ],
  });
}
