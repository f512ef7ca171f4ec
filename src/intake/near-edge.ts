import { insets, type EdgeName, type Rect } from '../core/geometry';
import type { House } from '../core/shop';
import type { Painted, ReadFile } from './painted';
import { mmOf, trimOf, wantedBleed } from './rule';

/** Something that stands close inside an edge: it matters when a page is given the bleed that it lacks. */
export interface NearEdge {
  readonly kind: 'words' | 'line' | 'area' | 'picture';
  readonly edge: EdgeName;
  /** How far inside the trim the nearest of them is, mm. */
  readonly inside: number;
  readonly count: number;
  readonly pages: readonly number[];
}

/** What is thinner than this is a line, however it was drawn, pt [own]. */
const THIN = 3;
/** What reaches the trim this closely runs over it, pt (0.2 mm). */
const REACHES = 0.57;

function kindOf({ kind, box }: Painted): NearEdge['kind'] {
  switch (kind) {
    case 'text':
      return 'words';
    case 'stroke':
      return 'line';
    case 'picture':
      return 'picture';
    case 'fill':
    case 'shading':
      return Math.min(box.width, box.height) < THIN ? 'line' : 'area';
  }
}

/** On a page of a PDF y goes up. */
function inside(box: Rect, trim: Rect): Readonly<Record<EdgeName, number>> {
  const { top, bottom, ...across } = insets(box, trim);
  return { ...across, top: bottom, bottom: top };
}

/** What stands nearer to an edge than the bleed of a house is wide, and does not run over it. */
export function nearEdges({ painted, pages }: ReadFile, house: House): readonly NearEdge[] {
  const reach = wantedBleed(house);
  const found = new Map<string, NearEdge>();
  for (const thing of painted) {
    const page = pages[thing.page - 1];
    if (!page) continue;
    const far = inside(thing.box, trimOf(page));
    for (const edge of ['top', 'right', 'bottom', 'left'] as const) {
      const distance = far[edge];
      if (distance < REACHES || distance > reach) continue;
      const kind = kindOf(thing);
      const before = found.get(`${kind} ${edge}`);
      found.set(`${kind} ${edge}`, {
        kind,
        edge,
        inside: Math.min(before?.inside ?? Infinity, mmOf(distance)),
        count: (before?.count ?? 0) + 1,
        pages: [...new Set([...(before?.pages ?? []), thing.page])],
      });
    }
  }
  return [...found.values()];
}
