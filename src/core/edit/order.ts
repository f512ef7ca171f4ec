import type { Axis, Element } from '../job';

export const ORDERS = ['forward', 'backward', 'front', 'back'] as const;

/** A side’s elements from the lowest up, with some of them brought one place further or past all others. */
export function inOrder(
  list: readonly Element[],
  ids: readonly string[],
  to: (typeof ORDERS)[number],
): readonly Element[] {
  const isChosen = (e: Element) => ids.includes(e.id);
  const [chosen, others] = [list.filter(isChosen), list.filter((e) => !isChosen(e))];
  switch (to) {
    case 'forward':
      return shift(list, isChosen, 1);
    case 'backward':
      return shift(list, isChosen, -1);
    case 'front':
      return [...others, ...chosen];
    case 'back':
      return [...chosen, ...others];
  }
}

/** Each chosen element one place further in a direction, past elements that are not chosen. */
function shift(list: readonly Element[], isChosen: (e: Element) => boolean, by: 1 | -1): readonly Element[] {
  const out = [...list];
  const indices = out.map((_, i) => i);
  for (const i of by === 1 ? indices.reverse() : indices) {
    const [here, there] = [out[i], out[i + by]];
    if (here && there && isChosen(here) && !isChosen(there)) [out[i], out[i + by]] = [there, here];
  }
  return out;
}

/**
 * An element where another one stands, which gives way: on its layer, above it where it comes from below.
 * @param list of the side, the lowest first
 */
export function atPlaceOf(list: readonly Element[], id: string, other: string): readonly Element[] {
  const [from, to] = [id, other].map((one) => list.findIndex((e) => e.id === one));
  const [moved, there] = [list[from ?? -1], list[to ?? -1]];
  if (!moved || !there || from === to) return list;
  const onLayer = { ...moved, layer: there.layer };
  const rest = list.filter((e) => e.id !== id);
  return rest.toSpliced(to ?? 0, 0, onLayer);
}

/** The element from edge to edge of its box, or of a box for each axis. */
export function filling(element: Element): Element {
  const whole = ({ of }: Axis): Axis => ({ start: 0, end: 0, ...(of && { of }) });
  const { x, y } = element.placement;
  return { ...element, placement: { ...element.placement, x: whole(x), y: whole(y) } };
}
