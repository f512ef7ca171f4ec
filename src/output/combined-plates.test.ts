import type { Adjust, Blend, Effect, Element, ElementInput } from '../core/job';
import { box, inMemory, makeJob, picture, shape, words } from '../testing/jobs';
import { INKS, UNMARKED, bothPlates, drawn, expectAlike, gradient, process, spot } from '../testing/plates';
import type { DrawnPicture } from '../testing/plates';
import { IS_ALL } from '../testing/all';
import { edges } from '../core/layout';

/** Debian’s icc-profiles-free. */
const WIDE = '/usr/share/color/icc/compatibleWithAdobeRGB1998.icc';

/** Pages made to combine what is hard: each factor goes round at a pace of its own, so that few pairs are left out. */
const KINDS: Readonly<Record<string, DrawnPicture>> = {
  'RGB disc': { format: 'png', colour: 'rgb', veil: 'disc' },
  'wide RGB disc': { format: 'png', colour: 'rgb', veil: 'disc', profile: WIDE },
  'RGB bars': { format: 'png', colour: 'rgb', veil: 'bars' },
  'grey disc': { format: 'png', colour: 'grey', veil: 'disc' },
  CMYK: { format: 'tiff', colour: 'cmyk' },
  'wide RGB': { format: 'png', colour: 'rgb', profile: WIDE },
  JPEG: { format: 'jpeg', colour: 'rgb' },
};

/** Each is drawn once. */
const made = new Map<DrawnPicture, ReturnType<typeof drawn>>();
function drawnOnce(file: DrawnPicture): ReturnType<typeof drawn> {
  const before = made.get(file);
  if (before) return before;
  const drawing = drawn(file);
  made.set(file, drawing);
  return drawing;
}

const SIDE = 40;
const all = [0, 0, SIDE, SIDE] as const;

const GROUNDS: Readonly<Record<string, readonly Element[]>> = {
  'bare paper': [],
  process: [box('ground', all, { fill: process(60, 20, 0, 0) })],
  spot: [box('ground', all, { fill: spot(70) })],
  mixed: [
    box('ground', all, { fill: spot(40, { y: 30 }) }),
    box('pale', [0, 12, SIDE, 14], { fill: process(0, 30, 60, 10) }),
  ],
  'spot to process': [
    box('ground', all, {
      fill: gradient('linear', [
        [0, spot(90)],
        [100, process(10, 60, 0, 0)],
      ]),
    }),
  ],
};

const glowing = {
  effect: 'glow',
  blur: 4,
  spread: 1,
  paint: process(0, 0, 90, 0),
  opacity: 0.8,
  blend: 'normal',
} as const;
const shadow = {
  effect: 'shadow',
  dx: 2,
  dy: 2,
  blur: 3,
  spread: 0,
  opacity: 0.6,
  blend: 'multiply',
  paint: process(40, 30, 0, 90),
} as const;
const EFFECTS: Readonly<Record<string, readonly Effect[]>> = {
  shadow: [shadow],
  'spot shadow': [{ ...shadow, paint: spot(100), blend: 'normal', spread: 1 }],
  glow: [glowing],
  blur: [{ effect: 'blur', blur: 2 }],
  'soft edge': [{ effect: 'soft-edge', blur: 3 }],
  'glow and soft edge': [glowing, { effect: 'soft-edge', blur: 3 }],
  'shadow, glow and blur': [shadow, glowing, { effect: 'blur', blur: 1.5 }],
  'soft edge and shadow': [{ effect: 'soft-edge', blur: 2 }, shadow],
  nothing: [],
};

const over = (blend: Blend): Partial<Adjust> => ({
  overlay: { paint: process(0, 80, 20, 0), opacity: 0.5, blend },
});
const ADJUSTS: Readonly<Record<string, Partial<Adjust>>> = {
  'as it is': {},
  'black and white': { grey: true },
  levels: { levels: { black: 40, white: 210, gamma: 1.3 } },
  'a colour cleared, another over it': { clear: { r: 180, g: 160, b: 150, tolerance: 25 }, ...over('normal') },
  'held to 200 %': { ink: 200 },
  'a colour multiplied over it': over('multiply'),
};

type Mix = Pick<ElementInput, 'opacity' | 'blend'>;
const MIXES: Readonly<Record<string, Mix>> = {
  plain: {},
  multiplied: { blend: 'multiply' },
  'half clear': { opacity: 0.6 },
  screened: { blend: 'screen', opacity: 0.8 },
};

/** What lies around it: overprints, clips, gradients of spots. */
const COMPANY: Readonly<Record<string, readonly Element[]>> = {
  'an overprint': [box('over', [4, 26, 32, 8], { fill: process(0, 70, 0, 0, true) })],
  'an overprinting spot': [
    shape('over', [18, 2, 20, 20], { form: 'ellipse' }, { fill: spot(80, { overprint: true }) }),
  ],
  'a gradient of spots': [
    box('over', [2, 30, 36, 8], {
      fill: gradient('linear', [
        [0, spot(100)],
        [100, process(0, 0, 60, 0), 0.2],
      ]),
    }),
  ],
  'black type': [words('over', 'Moon at nine', [2, 16, 36, 12], { sizePt: 16 })],
  'something clipped and mixed': [
    shape('star', [4, 4, 32, 32], { form: 'star' }, { fill: null }),
    box('over', [0, 18, SIDE, 12], {
      fill: gradient('radial', [
        [0, process(90, 0, 0, 0)],
        [100, spot(60), 0.5],
      ]),
      clipTo: 'star',
      blend: 'multiply',
    }),
  ],
};

/** The entry that the nth page takes of a list. */
const nth = <T>(of: Readonly<Record<string, T>>, n: number): readonly [name: string, value: T] => {
  const entries = Object.entries(of);
  const entry = entries[n % entries.length];
  if (!entry) throw new RangeError('an empty list');
  return entry;
};

const PAGES = Array.from({ length: 50 }, (_, n) => {
  const [kind, file] = nth(KINDS, n);
  const [ground, beneath] = nth(GROUNDS, n + Math.floor(n / 7));
  const [effect, effects] = nth(EFFECTS, n + Math.floor(n / 9));
  const [adjusted, adjust] = nth(ADJUSTS, n + Math.floor(n / 5));
  const [mixed, mix] = nth(MIXES, n + Math.floor(n / 3));
  const [beside, company] = nth(COMPANY, n + Math.floor(n / 11));
  const name = `${n + 1}: ${kind} on ${ground}, ${effect}, ${adjusted}, ${mixed}, ${beside}`;
  return { name, file, beneath, effects, adjust, mix, company };
});

/** In a common run every fourth one, and from eight to eight the next: of no list the same ones are left out. */
const TRIED = PAGES.filter((_, i) => IS_ALL || (i + Math.floor(i / 8)) % 4 === 0);

test.each(TRIED.map((page) => [page.name, page] as const))(
  'plates as tiffsep separates them, %s',
  async (name, page) => {
    const { sha, bytes, facts } = await drawnOnce(page.file);
    const subject = picture('subject', sha, [7, 7, 26, 24], {
      effects: [...page.effects],
      adjust: page.adjust,
      ...page.mix,
    });
    const job = makeJob(
      [...page.beneath, subject, ...page.company],
      { inks: INKS, assets: { [sha]: facts }, ...UNMARKED },
      { size: { width: SIDE, height: SIDE }, bleed: edges(0) },
    );
    expectAlike(name, await bothPlates(job, inMemory(new Map([[sha, bytes]])), 0));
  },
);
