import type { Mm } from '../measure';
import type { Fold } from './fold';

/** How the panels of a folded sheet differ, so that what is tucked lies flat. */
export type Allowance =
  | { readonly school: 'even' }
  /** Panels that wrap gain the length, what is tucked loses it. */
  | { readonly school: 'shift'; readonly mm: Mm }
  /** From the paper: caliper (null: the job’s paper), with the folder’s tolerance. */
  | { readonly school: 'thickness'; readonly mm: Mm | null };

/** What an allowance is worked out from. */
export interface Room {
  readonly allowance: Allowance;
  /** Caliper of the paper, mm. */
  readonly caliper: Mm;
  /** What the folding machine may be off by, mm. */
  readonly tolerance: Mm;
  /** A fixed shift that a width worked out from the paper never goes below, mm; 0 for none. */
  readonly floor: Mm;
}

export interface Widths {
  /** On the inside, from the left, mm. */
  readonly widths: readonly Mm[];
  /** How they came about, each a line. */
  readonly working: readonly string[];
  readonly rule: string;
}

/** A way to fold a sheet in parallel folds. */
export interface Scheme {
  readonly title: string;
  readonly about: string;
  /** How many panels; fixed, or between two numbers. */
  readonly panels: { readonly least: number; readonly most: number };
  readonly widths: (flat: Mm, n: number, room: Room, write: (mm: Mm) => string) => Widths;
  readonly folds: (n: number) => readonly Fold[];
  /** Names on the outside and on the inside, from the left. */
  readonly outside: (n: number) => readonly string[];
  readonly inside: (n: number) => readonly string[];
  /** Inside panels that lie tucked in, counted from the left from 0. */
  readonly tucked: (n: number) => readonly number[];
}

const SCHOOL_RULES: Readonly<Record<Allowance['school'], string>> = {
  even: 'School: all panels alike',
  shift: 'School: a fixed shift from what is tucked to what wraps (common practice)',
  thickness: 'School: caliper of what is wrapped plus the folder’s tolerance (common practice)',
};

/** How much narrower a panel is that lies tucked inside so many sheets. */
function less(room: Room, sheets: number): { readonly mm: Mm; readonly words: string } {
  const { allowance } = room;
  switch (allowance.school) {
    case 'even':
      return { mm: 0, words: '0' };
    case 'shift':
      return { mm: 3 * allowance.mm, words: `3 × ${allowance.mm}` };
    case 'thickness': {
      const caliper = allowance.mm ?? room.caliper;
      const mm = sheets * caliper + room.tolerance;
      return mm >= 3 * room.floor
        ? { mm, words: `${sheets} × ${caliper} + ${room.tolerance}` }
        : { mm: 3 * room.floor, words: `at least 3 × ${room.floor}` };
    }
  }
}

const even = (flat: Mm, n: number, write: (mm: Mm) => string): Widths => ({
  widths: Array.from({ length: n }, () => flat / n),
  working: [`${write(flat)} ÷ ${n} = ${write(flat / n)}`],
  rule: 'All panels alike: nothing is tucked',
});

/** Widths that are so much less than the widest each, and add up to the flat size. */
function lessEach(
  flat: Mm,
  losses: readonly { readonly mm: Mm; readonly words: string }[],
  room: Room,
  write: (mm: Mm) => string,
): Widths {
  const total = losses.reduce((sum, l) => sum + l.mm, 0);
  const wide = (flat + total) / losses.length;
  const widths = losses.map((l) => wide - l.mm);
  return {
    widths,
    working: [
      `widest = (${write(flat)} + ${write(total)}) ÷ ${losses.length} = ${write(wide)}`,
      ...losses.flatMap((l, i) =>
        l.mm > 0 ? [`panel ${i + 1} = ${write(wide)} − (${l.words} mm) = ${write(widths[i] ?? 0)}`] : [],
      ),
    ],
    rule: SCHOOL_RULES[room.allowance.school],
  };
}

const NONE = { mm: 0, words: '0' };

/** Each panel further in is narrower than the one it is wrapped by. */
const rollLosses = (n: number, room: Room) => {
  let mm = 0;
  let words = '';
  return Array.from({ length: n }, (_, i) => {
    if (i < 2) return NONE;
    const step = less(room, n - i);
    mm += step.mm;
    words = words ? `${words} + ${step.words}` : step.words;
    return { mm, words };
  });
};

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];
const nth = (i: number) => ORDINALS[i] ?? `${i + 1}th`;

const fixed = (n: number) => ({ least: n, most: n });
const x = (crease: number, moves: Fold['moves'], over: Fold['over'], name: string): Fold => ({
  axis: 'x',
  crease,
  moves,
  over,
  name,
});

/** Folds of a zigzag in which the first panel ends on top, its outside up. */
const zigzag = (n: number): readonly Fold[] => [
  ...Array.from({ length: n - 2 }, (_, k) => {
    const crease = n - 1 - k;
    const over = crease % 2 === 1 ? ('up' as const) : ('under' as const);
    const what = k === 0 ? 'the right-hand panel' : 'what is folded';
    return x(crease, 'high', over, `Fold ${what} ${over === 'up' ? 'in, over' : 'back, under'} panel ${crease}`);
  }),
  x(1, 'low', 'up', 'Fold the left-hand panel over the rest'),
];

/**
 * The ways to fold a sheet in parallel. The inside lies up; panels are counted from its left.
 * Panel orders and allowances are common practice and have no published source.
 */
export const SCHEMES = {
  half: {
    title: 'half fold',
    about: 'Once across the middle: four pages.',
    panels: fixed(2),
    widths: (flat, n, _room, write) => even(flat, n, write),
    folds: () => [x(1, 'low', 'up', 'Fold the left half over the right')],
    outside: () => ['back cover', 'front cover'],
    inside: () => ['inside left', 'inside right'],
    tucked: () => [],
  },
  letter: {
    title: 'letter fold',
    about: 'In three, the right panel tucked inside.',
    panels: fixed(3),
    widths: (flat, _n, room, write) => lessEach(flat, [NONE, NONE, less(room, 1)], room, write),
    folds: () => [x(2, 'high', 'up', 'Fold the right panel in'), x(1, 'low', 'up', 'Fold the left panel over it')],
    outside: () => ['tucked panel', 'back cover', 'front cover'],
    inside: () => ['inside left', 'inside centre', 'inside right'],
    tucked: () => [2],
  },
  z: {
    title: 'Z fold',
    about: 'In three, zigzag: nothing is tucked.',
    panels: fixed(3),
    widths: (flat, n, room, write) => accordionWidths(flat, n, room, write),
    folds: () => zigzag(3),
    outside: () => ['outside right', 'outside centre', 'front cover'],
    inside: () => ['inside left', 'inside centre', 'back cover'],
    tucked: () => [],
  },
  accordion: {
    title: 'accordion',
    about: 'Zigzag in any number of panels.',
    panels: { least: 3, most: 12 },
    widths: (flat, n, room, write) => accordionWidths(flat, n, room, write),
    folds: zigzag,
    outside: (n) =>
      Array.from({ length: n }, (_, i) =>
        i === n - 1 ? 'front cover' : i === 0 && n % 2 === 0 ? 'back cover' : `outside ${nth(n - 1 - i)}`,
      ),
    inside: (n) =>
      Array.from({ length: n }, (_, i) => (i === n - 1 && n % 2 === 1 ? 'back cover' : `inside ${nth(i)}`)),
    tucked: () => [],
  },
  gate: {
    title: 'gate fold',
    about: 'Two leaves that meet in the middle of a wide panel.',
    panels: fixed(3),
    widths: (flat, _n, room, write) => {
      const stop = less(room, 1);
      // Each leaf stops short of the middle; a fixed shift is taken twice, from the leaf and to the centre.
      const short =
        room.allowance.school === 'shift'
          ? 2 * room.allowance.mm
          : Math.min(stop.mm, Math.max(2, stop.mm - room.floor));
      const leaf = (flat - 2 * short) / 4;
      return {
        widths: [leaf, flat - 2 * leaf, leaf],
        working: [
          `each leaf stops ${write(short)} short of the middle`,
          `leaf = (${write(flat)} − 2 × ${write(short)}) ÷ 4 = ${write(leaf)}`,
          `centre = ${write(flat)} − 2 × ${write(leaf)} = ${write(flat - 2 * leaf)}`,
        ],
        rule: SCHOOL_RULES[room.allowance.school],
      };
    },
    folds: () => [x(2, 'high', 'up', 'Fold the right leaf in'), x(1, 'low', 'up', 'Fold the left leaf in')],
    outside: () => ['right leaf, front', 'back cover', 'left leaf, front'],
    inside: () => ['left leaf, inside', 'inside centre', 'right leaf, inside'],
    tucked: () => [],
  },
  'double-gate': {
    title: 'double gate',
    about: 'Two leaves folded in, then the whole in half.',
    panels: fixed(4),
    widths: (flat, _n, room, write) => {
      const loss =
        room.allowance.school === 'shift'
          ? { mm: 2 * room.allowance.mm, words: `2 × ${room.allowance.mm}` }
          : less(room, 1);
      return lessEach(flat, [loss, NONE, NONE, loss], room, write);
    },
    folds: () => [
      x(3, 'high', 'up', 'Fold the right leaf in'),
      x(1, 'low', 'up', 'Fold the left leaf in'),
      x(2, 'low', 'up', 'Fold the left half over the right'),
    ],
    outside: () => ['right leaf', 'back cover', 'front cover', 'left leaf'],
    inside: () => ['left leaf, inside', 'inside left', 'inside right', 'right leaf, inside'],
    tucked: () => [0, 3],
  },
  roll: {
    title: 'roll fold',
    about: 'Rolled in from the right, each panel further in a little narrower.',
    panels: { least: 3, most: 8 },
    widths: (flat, n, room, write) => lessEach(flat, rollLosses(n, room), room, write),
    folds: (n) =>
      Array.from({ length: n - 1 }, (_, k) => {
        const crease = n - 1 - k;
        return crease === 1
          ? x(1, 'low', 'up', 'Fold the left panel over the roll')
          : x(crease, 'high', 'up', k === 0 ? 'Fold the right-hand panel in' : `Roll on over panel ${crease}`);
      }),
    outside: (n) =>
      Array.from({ length: n }, (_, i) =>
        i === n - 1 ? 'front cover' : i === n - 2 ? 'back cover' : `tucked ${nth(n - 3 - i)}`,
      ),
    inside: (n) => Array.from({ length: n }, (_, i) => `inside ${nth(i)}`),
    tucked: (n) => Array.from({ length: n - 2 }, (_, i) => i + 2),
  },
  'double-parallel': {
    title: 'double parallel',
    about: 'In half, and in half again the same way.',
    panels: fixed(4),
    widths: (flat, _n, room, write) => {
      const loss = less(room, 1);
      return lessEach(flat, [NONE, NONE, loss, loss], room, write);
    },
    folds: () => [
      x(2, 'high', 'up', 'Fold the right half over the left'),
      x(1, 'low', 'up', 'Fold the left half over the right'),
    ],
    outside: () => ['inner right', 'inner left', 'back cover', 'front cover'],
    inside: () => ['inside first', 'inside second', 'inside third', 'inside fourth'],
    tucked: () => [2, 3],
  },
} as const satisfies Readonly<Record<string, Scheme>>;

export type SchemeName = keyof typeof SCHEMES;
export const SCHEME_NAMES = Object.keys(SCHEMES) as readonly SchemeName[];

/** Alike, but for a cover that may be a little longer so that the zigzag behind it does not show [cp]. */
function accordionWidths(flat: Mm, n: number, room: Room, write: (mm: Mm) => string): Widths {
  const { allowance } = room;
  const longer =
    allowance.school === 'even'
      ? 0
      : allowance.school === 'shift'
        ? Math.min(0.5, allowance.mm)
        : Math.min(0.5, (n - 1) * (allowance.mm ?? room.caliper));
  if (longer === 0) return even(flat, n, write);
  const plain = (flat - longer) / n;
  return {
    widths: Array.from({ length: n }, (_, i) => (i === 0 ? plain + longer : plain)),
    working: [
      `the cover is ${write(longer)} longer (at most 0.5 mm)`,
      `others = (${write(flat)} − ${write(longer)}) ÷ ${n} = ${write(plain)}`,
    ],
    rule: SCHOOL_RULES[allowance.school],
  };
}

/** Folds of a map: zigzag one way, then zigzag the other, so that one corner’s outside ends on top, upright. */
export function mapFolds(across: number, down: number, first: 'across' | 'down'): readonly Fold[] {
  const columns = across > 1 ? zigzag(across) : [];
  const rows = Array.from({ length: down - 1 }, (_, k): Fold => {
    const crease = down - 1 - k;
    // Folded down first, the head row lies at the bottom until the columns turn it over.
    const isOver = (crease % 2 === 1) === (first === 'down' || across === 1);
    const over = isOver ? ('up' as const) : ('under' as const);
    return { axis: 'y', crease, moves: 'high', over, name: `Fold the foot ${over} at fold ${crease} down` };
  });
  return first === 'across' ? [...columns, ...rows] : [...rows, ...columns];
}

/** A cross (French) fold: the head down over the foot, then the left over the right. */
export const crossFolds = (): readonly Fold[] => [
  { axis: 'y', crease: 1, moves: 'low', over: 'up', name: 'Fold the head down over the foot' },
  x(1, 'low', 'up', 'Fold the left half over the right'),
];
