import { PROCESS, PROCESS_PLATES, platesIn, type Laid, type SpotTint } from '../colour';
import type { Ink, Item } from './drawing';

const PROCESS_NAMES: readonly string[] = PROCESS.map((ink) => PROCESS_PLATES[ink]);

/** Every ink of items and of the groups among them. Pictures and pages of documents have no ink of their own. */
const inksOf = (items: readonly Item[]): readonly Ink[] =>
  items.flatMap((item): readonly Ink[] => {
    switch (item.kind) {
      case 'path':
        return [...(item.fill ? [item.fill] : []), ...(item.stroke ? [item.stroke.ink] : [])];
      case 'glyphs':
        return [item.ink, ...(item.stroke ? [item.stroke.ink] : [])];
      case 'group':
        return inksOf(item.items);
      case 'picture':
      case 'page':
        return [];
    }
  });

const hasPicture = (items: readonly Item[]): boolean =>
  items.some((item) => {
    switch (item.kind) {
      case 'group':
        return hasPicture(item.items);
      case 'picture':
      case 'page':
        return true;
      case 'path':
      case 'glyphs':
        return false;
    }
  });

function namesIn(ink: Ink): readonly string[] {
  switch (ink.kind) {
    case 'process':
      return platesIn(ink);
    case 'gradient':
      return ink.stops.flatMap(platesIn);
    case 'technical':
      return [ink.name];
    case 'registration':
      return [];
  }
}

/** The plates that items print on: the process inks that they use, then spots and lines as they come. */
export function plateNames(items: readonly Item[]): readonly string[] {
  const found = new Set([...(hasPicture(items) ? PROCESS_NAMES : []), ...inksOf(items).flatMap(namesIn)]);
  return [
    ...PROCESS_NAMES.filter((name) => found.has(name)),
    ...[...found].filter((name) => !PROCESS_NAMES.includes(name)),
  ];
}

/** The spot inks that items are printed with, each once, solid. */
export function spotsIn(items: readonly Item[]): readonly SpotTint[] {
  const found = new Map<string, SpotTint>();
  for (const ink of inksOf(items)) {
    const laid: readonly Laid[] = ink.kind === 'process' ? [ink] : ink.kind === 'gradient' ? ink.stops : [];
    for (const { spots = [] } of laid) for (const spot of spots) found.set(spot.name, { ...spot, tint: 100 });
  }
  return [...found.values()];
}
