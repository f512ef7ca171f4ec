import type { Kit } from '../core/job';

/** The laid-out piece that the client’s kit is made of. */
export const KIT_PIECE = 'letterhead';

/** What the society calls its colours. */
const NAMES: Readonly<Record<string, string>> = {
  '88 78 38 36': 'Night',
  '74 66 16 10': 'Dusk',
  '22 54 34 0': 'Heather',
  '4 62 68 0': 'Ember',
  '0 14 78 0': 'Lantern',
  '2 6 26 0': 'Moonlight',
};

/** The kit with its colours called what the client calls them. */
export const withColourNames = (kit: Kit): Kit => ({
  ...kit,
  colours: kit.colours.map((c) => ({ ...c, name: NAMES[c.name] ?? c.name })),
});
