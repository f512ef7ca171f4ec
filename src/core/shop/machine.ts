import { z } from 'zod';
import { extent } from '../element';

/** How a house prints: what its machines are usually off by depends on it. */
export const PRESSES = ['offset', 'digital', 'flexo', 'wide-format'] as const;
export type Press = (typeof PRESSES)[number];

/** What is done to the sheet after the first plate, each of it a little off. */
export const MACHINES = ['guillotine', 'cutter', 'die', 'backing', 'plates', 'folder', 'drill', 'hem'] as const;
export type MachineKind = (typeof MACHINES)[number];

/** What a machine is off by. Each figure is meant both ways (±), as two standard deviations. */
export interface MachineFigures {
  /** How far what it does lies off its place, mm. */
  readonly drift: number;
  /** How far it is turned, degrees. */
  readonly turn: number;
  /** How high the pile is that is cut at once, mm; 0 where each copy is cut by itself. */
  readonly pile: number;
  /** How much further it is off for each 20 mm that a copy lies deeper in the pile, mm. */
  readonly deeper: number;
}

/** The figures that a kind of machine has, and that a house may say of its own. */
export const FIGURES_OF = {
  guillotine: ['pile', 'deeper'],
  cutter: ['drift', 'turn'],
  die: ['drift', 'turn'],
  backing: ['drift', 'turn'],
  plates: ['drift'],
  // How far it wanders stands in the book by itself.
  folder: [],
  drill: ['drift'],
  hem: ['drift'],
} as const satisfies Readonly<Record<MachineKind, readonly (keyof MachineFigures)[]>>;

export const MACHINE_TITLES: Readonly<Record<MachineKind, string>> = {
  guillotine: 'Guillotine',
  cutter: 'Digital cutter',
  die: 'Die and kiss-cut',
  backing: 'Back on front',
  plates: 'Plates on each other',
  folder: 'Folder',
  drill: 'Drill and punch',
  hem: 'Hem',
};

/** What a house says of a machine of its own; what it leaves open follows common practice. */
const Wishes = {
  drift: extent.optional().describe('How far it is off, ± mm.'),
  turn: z.number().min(0).max(5).optional().describe('How far it is turned, ± degrees.'),
  pile: extent.optional().describe('How high the pile is that is cut at once, mm.'),
  deeper: extent.optional().describe('How much further off for each 20 mm of the pile above, mm.'),
};

/** Figures of a house’s machines. How far knife and folder wander are its `trimTolerance` and `foldTolerance`. */
export const HouseMachines = z
  .strictObject({
    guillotine: z.strictObject({ pile: Wishes.pile, deeper: Wishes.deeper }),
    cutter: z.strictObject({ drift: Wishes.drift, turn: Wishes.turn }),
    die: z.strictObject({ drift: Wishes.drift, turn: Wishes.turn }),
    backing: z.strictObject({ drift: Wishes.drift, turn: Wishes.turn }),
    plates: z.strictObject({ drift: Wishes.drift }),
    folder: z.strictObject({}),
    drill: z.strictObject({ drift: Wishes.drift }),
    hem: z.strictObject({ drift: Wishes.drift }),
  } satisfies Readonly<Record<MachineKind, z.ZodType>>)
  .partial();
export type HouseMachines = z.infer<typeof HouseMachines>;

const NONE: MachineFigures = { drift: 0, turn: 0, pile: 0, deeper: 0 };

/** Common practice without a published source [cp]. The drift of guillotine and folder is that of the rules. */
const COMMON: Readonly<Record<MachineKind, Partial<MachineFigures>>> = {
  guillotine: { pile: 80, deeper: 0.1 },
  cutter: { drift: 0.3, turn: 0.05 },
  die: { drift: 0.5, turn: 0.1 },
  backing: { drift: 0.5, turn: 0.05 },
  plates: { drift: 0.1 },
  folder: {},
  drill: { drift: 0.5 },
  hem: { drift: 8 },
};

/** Where a way of printing differs from that [cp]. */
const BY_PRESS: Readonly<Record<Press, Partial<Record<MachineKind, Partial<MachineFigures>>>>> = {
  offset: {},
  digital: { guillotine: { pile: 40 }, backing: { drift: 1, turn: 0.1 } },
  flexo: { die: { drift: 0.8 }, plates: { drift: 0.3 } },
  'wide-format': { guillotine: { pile: 0 }, backing: { drift: 1, turn: 0.1 }, plates: { drift: 0.1 } },
};

/** What a machine is usually off by in a house that prints in such a way. */
export const usualFigures = (kind: MachineKind, press: Press): MachineFigures => ({
  ...NONE,
  ...COMMON[kind],
  ...BY_PRESS[press][kind],
});
