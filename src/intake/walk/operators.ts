import { PDFDict, PDFName, PDFStream } from '@cantoo/pdf-lib';
import { IDENTITY, multiply } from '../../core/geometry';
import { spaceOf } from '../colour-of';
import { dictOf, name, type Token } from '../pdf';
import { withState } from './state';
import type { Operators, Walker } from './walker';

type Which = 'fill' | 'stroke';
type Does = Operators[string];

const path =
  (...kinds: readonly Which[]): Does =>
  (w) =>
    w.paint({ fills: kinds.includes('fill'), strokes: kinds.includes('stroke') });

/** A colour in one of the spaces of devices (ISO 32000-1, 8.6.4). */
const device =
  (which: Which, space: string): Does =>
  (w, _, values) =>
    w.set({ [which]: { space: spaceOf(w.file, name(space), w.resources), values } });

const chooseSpace =
  (which: Which): Does =>
  (w, [first]) => {
    const space = spaceOf(w.file, first?.kind === 'name' ? PDFName.of(first.text) : undefined, w.resources);
    w.set({ [which]: { space, values: space.first } });
  };

const chooseColour =
  (which: Which): Does =>
  (w, operands, values) =>
    w.set({ [which]: w.usingOf(w.state[which].space, operands, values) });

const move: Does = (w, _, [x = 0, y = 0]) => w.nextLine(x, y);

/** The leading is not kept: a line of type stands about so far below the one before, in its size [own]. */
const LEADING = 1.2;

const lineDown = (w: Walker): void => w.nextLine(0, -w.state.size * LEADING);

const lineAndShow: Does = (w, operands) => {
  lineDown(w);
  w.show(operands.at(-1));
};

const show: Does = (w, [first]) => w.show(first);

const twoPoints: Does = (w, _, [a = 0, b = 0, c = 0, d = 0]) => {
  w.put(a, b);
  w.put(c, d);
};

const fontOf = (w: Walker, token: Token | undefined): PDFDict | undefined => {
  const found = w.named('Font', token);
  return found instanceof PDFDict ? found : undefined;
};

/** What each operator of a content stream does to what is walked (ISO 32000-1, annex A); the rest lays nothing down. */
export const OPERATORS: Operators = {
  // State.
  q: (w) => w.push(),
  Q: (w) => w.pop(),
  cm: (w, _, [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0]) => w.set({ ctm: multiply(w.state.ctm, [a, b, c, d, e, f]) }),
  w: (w, _, [width = 0]) => w.set({ width }),
  gs: (w, [first]) => {
    const dict = w.named('ExtGState', first);
    if (dict instanceof PDFDict) w.set(withState(w.file, w.state, dict));
  },
  // Paths.
  m: (w, _, [x = 0, y = 0]) => {
    w.beginPart();
    w.put(x, y);
  },
  l: (w, _, [x = 0, y = 0]) => w.put(x, y),
  c: (w, _, [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0]) => {
    w.put(a, b);
    w.put(c, d);
    w.put(e, f);
  },
  v: twoPoints,
  y: twoPoints,
  re: (w, _, [x = 0, y = 0, width = 0, height = 0]) => {
    w.beginPart();
    w.put(x, y);
    w.put(x + width, y);
    w.put(x + width, y + height);
    w.put(x, y + height);
  },
  W: (w) => w.clipNext(),
  'W*': (w) => w.clipNext(),
  n: path(),
  f: path('fill'),
  F: path('fill'),
  'f*': path('fill'),
  S: path('stroke'),
  s: path('stroke'),
  B: path('fill', 'stroke'),
  'B*': path('fill', 'stroke'),
  b: path('fill', 'stroke'),
  'b*': path('fill', 'stroke'),
  // Colours.
  g: device('fill', 'DeviceGray'),
  G: device('stroke', 'DeviceGray'),
  rg: device('fill', 'DeviceRGB'),
  RG: device('stroke', 'DeviceRGB'),
  k: device('fill', 'DeviceCMYK'),
  K: device('stroke', 'DeviceCMYK'),
  cs: chooseSpace('fill'),
  CS: chooseSpace('stroke'),
  sc: chooseColour('fill'),
  scn: chooseColour('fill'),
  SC: chooseColour('stroke'),
  SCN: chooseColour('stroke'),
  sh: (w, [first]) => w.shade(dictOf(w.file, w.named('Shading', first))),
  // Words.
  BT: (w) => w.setTextMatrix(IDENTITY),
  Tf: (w, [first], [size = 0]) => w.set({ font: fontOf(w, first), size }),
  Tz: (w, _, [percent = 0]) => w.set({ stretch: percent / 100 }),
  Tr: (w, _, [mode = 0]) => w.set({ invisible: mode === 3 }),
  Td: move,
  TD: move,
  Tm: (w, _, [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0]) => w.setTextMatrix([a, b, c, d, e, f]),
  'T*': lineDown,
  "'": lineAndShow,
  '"': lineAndShow,
  Tj: show,
  TJ: show,
  // Pictures and forms.
  BI: (w, [first]) => {
    if (first?.kind === 'dict') w.inlinePicture(first.entries);
  },
  Do: (w, [first]) => {
    const drawn = w.named('XObject', first);
    if (drawn instanceof PDFStream) w.draw(drawn);
  },
};
