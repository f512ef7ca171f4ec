import type { Point, Rect } from '../layout';
import type { Mm } from '../measure';

/** One fold of a sheet that lies inside up: which crease, which side of it moves, and over or under the rest. */
export interface Fold {
  readonly axis: 'x' | 'y';
  /** Counted from 1: the crease between part n and part n + 1 of that axis. */
  readonly crease: number;
  readonly moves: 'low' | 'high';
  readonly over: 'up' | 'under';
  /** What the folder does, in words. */
  readonly name: string;
}

/** A part of the sheet between creases. */
export interface Facet {
  readonly column: number;
  readonly row: number;
  /** On the inside, flat. */
  readonly rect: Rect;
}

/** A rigid turn of some facets about a crease. */
export interface Turn {
  readonly facets: readonly number[];
  /** The facet on the other side of the crease, which stays. */
  readonly stays: number;
  /** The crease, on the flat sheet. */
  readonly from: Point;
  readonly to: Point;
  /** Degrees; positive lifts the moving side toward the inside’s viewer (a valley on the inside). */
  readonly angle: number;
}

export interface FoldStep {
  readonly name: string;
  readonly turns: readonly Turn[];
  /** Height of each facet in the stack after the step, in sheets. */
  readonly layers: readonly number[];
}

/** A stretch of crease that folds one way. */
export interface Crease {
  readonly from: Point;
  readonly to: Point;
  /** As the viewer of the inside sees it. */
  readonly direction: 'up' | 'down';
  /** Which fold makes it, from 0. */
  readonly step: number;
}

/** Something in the way. */
export interface Collision {
  readonly step: number;
  readonly facets: readonly number[];
  readonly kind: 'crosses' | 'tight';
  /** How far past the crease, or how much clearance is missing, mm. */
  readonly by: Mm;
}

export interface Folded {
  readonly facets: readonly Facet[];
  readonly steps: readonly FoldStep[];
  readonly creases: readonly Crease[];
  readonly collisions: readonly Collision[];
  /** Outline box when folded, mm. */
  readonly size: { readonly width: Mm; readonly height: Mm };
  /** Most sheets lying on each other. */
  readonly layers: number;
  /** Which facet one looks at from above and from below, and whether its outside shows, and upside down. */
  readonly top: Showing;
  readonly bottom: Showing;
  readonly states: readonly FacetState[];
}

export interface Showing {
  readonly facet: number;
  readonly face: 'inside' | 'outside';
  readonly turned: boolean;
}

/** Where a facet lies: folded = flip × flat + shift on each axis. */
interface FacetState {
  readonly sx: 1 | -1;
  readonly sy: 1 | -1;
  readonly tx: Mm;
  readonly ty: Mm;
  readonly layer: number;
}

const NEAR = 1e-6;

/**
 * Folds a sheet of columns and rows, one fold after another, and finds out what happens: where each part comes to
 * lie, in which order, which way each crease bends, and what is in the way.
 * @param columns widths on the inside from the left, mm
 * @param rows    heights from the top, mm
 * @param caliper thickness of the sheet, mm: what is tucked inside a fold needs that much room for each layer
 */
export function foldFlat(columns: readonly Mm[], rows: readonly Mm[], folds: readonly Fold[], caliper: Mm): Folded {
  const xs = starts(columns);
  const ys = starts(rows);
  const facets: Facet[] = rows.flatMap((height, row) =>
    columns.map((width, column) => ({
      column,
      row,
      rect: { x: xs[column] ?? 0, y: ys[row] ?? 0, width, height },
    })),
  );
  const index = (column: number, row: number) => row * columns.length + column;
  let states: FacetState[] = facets.map(() => ({ sx: 1, sy: 1, tx: 0, ty: 0, layer: 0 }));
  const steps: FoldStep[] = [];
  const creases: Crease[] = [];
  const collisions: Collision[] = [];

  const extent = (i: number, axis: 'x' | 'y'): readonly [number, number] => {
    const { rect } = facets[i] ?? { rect: { x: 0, y: 0, width: 0, height: 0 } };
    const s = states[i];
    if (!s) return [0, 0];
    const [flip, shift, from, size] =
      axis === 'x' ? [s.sx, s.tx, rect.x, rect.width] : [s.sy, s.ty, rect.y, rect.height];
    const [a, b] = [flip * from + shift, flip * (from + size) + shift];
    return a < b ? [a, b] : [b, a];
  };
  const centre = (i: number, axis: 'x' | 'y') => {
    const [a, b] = extent(i, axis);
    return (a + b) / 2;
  };
  const place = (flat: Mm, i: number, axis: 'x' | 'y'): Mm => {
    const s = states[i];
    return s ? (axis === 'x' ? s.sx * flat + s.tx : s.sy * flat + s.ty) : 0;
  };

  folds.forEach((fold, step) => {
    const { axis, crease } = fold;
    const lines = axis === 'x' ? xs : ys;
    const flat = lines[crease] ?? 0;
    const [low, high] =
      axis === 'x' ? [index(crease - 1, 0), index(crease, 0)] : [index(0, crease - 1), index(0, crease)];
    const [mover, stayer] = fold.moves === 'low' ? [low, high] : [high, low];
    const at = place(flat, stayer, axis);
    const side = Math.sign(centre(mover, axis) - at);
    const spans = facets.map((_, i) => extent(i, axis));
    const moves = spans.map(([a, b]) => Math.sign((a + b) / 2 - at) === side);
    const isMoving = (i: number) => moves[i] === true;
    const moving = facets.map((_, i) => i).filter(isMoving);
    const staying = facets.map((_, i) => i).filter((i) => !isMoving(i));

    // Links between the two sides along this axis: each is a stretch of crease that this fold makes.
    const links: { moving: number; staying: number; flat: Mm; at: Mm }[] = [];
    const stride = axis === 'x' ? 1 : columns.length;
    for (let i = 0; i + stride < facets.length; i += 1) {
      const facet = facets[i];
      if (!facet || (axis === 'x' && facet.column === columns.length - 1)) continue;
      const j = i + stride;
      if (isMoving(i) === isMoving(j)) continue;
      const [m, s] = isMoving(i) ? [i, j] : [j, i];
      const line = lines[(axis === 'x' ? facet.column : facet.row) + 1] ?? 0;
      links.push({ moving: m, staying: s, flat: line, at: place(line, s, axis) });
    }

    const up = fold.over === 'up';
    // What lies inside the bend has to end short of it.
    const creaseOf = new Map<number, Mm>();
    for (let k = links.length - 1; k >= 0; k -= 1) {
      const link = links[k];
      if (!link) continue;
      creaseOf.set(link.moving, link.at);
      creaseOf.set(link.staying, link.at);
    }
    for (const side of [moving, staying]) {
      const linkLayer = Math[up ? 'min' : 'max'](
        ...links.map((l) => states[side === moving ? l.moving : l.staying]?.layer ?? 0),
      );
      const inner = side.filter((i) => {
        const layer = states[i]?.layer ?? 0;
        return up ? layer > linkLayer : layer < linkLayer;
      });
      const sheets = new Set(inner.map((i) => states[i]?.layer)).size;
      const tight = inner
        .filter((i) => !creaseOf.has(i))
        .flatMap((i) => {
          const [a, b] = extent(i, axis);
          const gap = Math.min(Math.abs(a - at), Math.abs(b - at));
          return gap < sheets * caliper - NEAR && !(a < at - NEAR && b > at + NEAR)
            ? [{ i, by: sheets * caliper - gap }]
            : [];
        });
      if (tight.length > 0)
        collisions.push({
          step,
          kind: 'tight',
          facets: tight.map((t) => t.i),
          by: Math.max(...tight.map((t) => t.by)),
        });
    }
    const crossing: { i: number; reach: Mm }[] = [];
    spans.forEach(([a, b], i) => {
      // An inner layer bends at its own crease, a little inside the outer one’s.
      const own = creaseOf.get(i) ?? at;
      const reach = Math.min(own - a, b - own);
      if (reach > NEAR) crossing.push({ i, reach });
    });
    if (crossing.length > 0)
      collisions.push({
        step,
        kind: 'crosses',
        facets: crossing.map((c) => c.i),
        by: Math.max(...crossing.map((c) => c.reach)),
      });

    const turns: Turn[] = [];
    const turned = new Map<number, FacetState>();
    const [topLayer, bottomLayer] = [
      Math.max(...staying.map((i) => states[i]?.layer ?? 0)),
      Math.min(...staying.map((i) => states[i]?.layer ?? 0)),
    ];
    const movingLayers = moving.map((i) => states[i]?.layer ?? 0);
    const [mostMoving, leastMoving] = [Math.max(...movingLayers), Math.min(...movingLayers)];
    for (const part of connected(moving, columns.length)) {
      const members = new Set(part);
      const own = links.filter((l) => members.has(l.moving));
      const link = own.reduce<(typeof links)[number] | undefined>(
        (best, l) => (!best || Math.abs(l.at - at) < Math.abs(best.at - at) ? l : best),
        undefined,
      );
      const about = link?.at ?? at;
      for (const i of part) {
        const s = states[i];
        if (!s) continue;
        const layer = up ? topLayer + 1 + (mostMoving - s.layer) : bottomLayer - 1 - (s.layer - leastMoving);
        const { sx, sy, tx, ty } = s;
        turned.set(
          i,
          axis === 'x'
            ? { sx: sx === 1 ? -1 : 1, sy, tx: 2 * about - tx, ty, layer }
            : { sx, sy: sy === 1 ? -1 : 1, tx, ty: 2 * about - ty, layer },
        );
      }
      if (!link) continue;
      const stays = states[link.staying];
      const faceUp = stays ? stays.sx * stays.sy === 1 : true;
      const angle = up === faceUp ? 180 : -180;
      turns.push({ facets: part, stays: link.staying, angle, ...along(link.flat, facets[link.staying]?.rect, axis) });
    }
    for (const link of links) {
      const s = states[link.staying];
      const faceUp = s ? s.sx * s.sy === 1 : true;
      creases.push({
        ...along(link.flat, facets[link.staying]?.rect, axis),
        direction: up === faceUp ? 'up' : 'down',
        step,
      });
    }
    states = states.map((s, i) => turned.get(i) ?? s);
    steps.push({ name: fold.name, turns, layers: states.map((s) => s.layer) });
  });

  const boxes = facets.map((_, i) => ({ x: extent(i, 'x'), y: extent(i, 'y') }));
  const spread = (axis: 'x' | 'y') =>
    Math.max(...boxes.map((b) => b[axis][1])) - Math.min(...boxes.map((b) => b[axis][0]));
  // Sheets lie on each other where a middle lies within another’s extent.
  let layers = 0;
  for (const { x, y } of boxes) {
    const [mx, my] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
    let here = 0;
    for (const b of boxes) if (b.x[0] < mx && mx < b.x[1] && b.y[0] < my && my < b.y[1]) here += 1;
    layers = Math.max(layers, here);
  }
  const showing = (from: 'above' | 'below'): Showing => {
    const order = states.map((s, i) => ({ s, i })).sort((a, b) => b.s.layer - a.s.layer);
    const found = from === 'above' ? order[0] : order.at(-1);
    const s = found?.s ?? { sx: 1, sy: 1 };
    const faceUp = s.sx * s.sy === 1;
    return { facet: found?.i ?? 0, face: faceUp === (from === 'above') ? 'inside' : 'outside', turned: s.sy === -1 };
  };
  return {
    facets,
    steps,
    creases: joined(creases),
    collisions,
    size: { width: spread('x'), height: spread('y') },
    layers,
    top: showing('above'),
    bottom: showing('below'),
    states,
  };
}

/** Where each part starts, and the far end last. */
function starts(sizes: readonly Mm[]): readonly Mm[] {
  const out = [0];
  for (const size of sizes) out.push((out.at(-1) ?? 0) + size);
  return out;
}

const along = (flat: Mm, rect: Rect | undefined, axis: 'x' | 'y'): { from: Point; to: Point } => {
  const r = rect ?? { x: 0, y: 0, width: 0, height: 0 };
  return axis === 'x'
    ? { from: { x: flat, y: r.y }, to: { x: flat, y: r.y + r.height } }
    : { from: { x: r.x, y: flat }, to: { x: r.x + r.width, y: flat } };
};

/** Groups of facets that hang together among themselves; facets are counted row by row. */
function connected(members: readonly number[], across: number): readonly (readonly number[])[] {
  const left = new Set(members);
  const groups: number[][] = [];
  for (const first of members) {
    if (!left.delete(first)) continue;
    const group = [first];
    for (const i of group) {
      const column = i % across;
      const beside = [i - across, i + across, ...(column > 0 ? [i - 1] : []), ...(column < across - 1 ? [i + 1] : [])];
      for (const j of beside) if (left.delete(j)) group.push(j);
    }
    groups.push(group);
  }
  return groups;
}

/** Stretches that go on in one line, one way, by the same fold, as one. */
function joined(creases: readonly Crease[]): readonly Crease[] {
  const out: Crease[] = [];
  // Where a stretch of each fold and direction ends, by its end.
  const open = new Map<string, number>();
  const keyOf = (c: Crease, p: Point) => `${c.step}/${c.direction}/${Math.round(p.x * 1e4)}/${Math.round(p.y * 1e4)}`;
  for (const crease of creases) {
    const key = keyOf(crease, crease.from);
    const before = open.get(key);
    const found = before === undefined ? undefined : out[before];
    if (before !== undefined && found && inLine(found, crease)) {
      open.delete(key);
      out[before] = { ...found, to: crease.to };
      open.set(keyOf(crease, crease.to), before);
    } else {
      out.push(crease);
      open.set(keyOf(crease, crease.to), out.length - 1);
    }
  }
  return out;
}

const inLine = (a: Crease, b: Crease) =>
  (Math.abs(a.from.x - b.to.x) < NEAR && Math.abs(a.from.x - a.to.x) < NEAR) ||
  (Math.abs(a.from.y - b.to.y) < NEAR && Math.abs(a.from.y - a.to.y) < NEAR);
