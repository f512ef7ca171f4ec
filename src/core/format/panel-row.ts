import type { Figure } from '../figure';
import type { Folding } from '../fold';
import { cornersOf } from '../layout';
import type { Mm } from '../measure';
import type { Panel, ProcessLine } from './blank';
import type { FormatContext } from './format';
import { sums } from './folded-sheet';

/** A panel of a wrap: its name, its width, and by how much it turns against the one before it, degrees. */
export interface RowPanel {
  readonly name: string;
  readonly width: Mm;
  readonly turn?: number;
}

export interface PanelRow {
  readonly panels: readonly Panel[];
  readonly creases: readonly ProcessLine[];
  readonly folding: Folding;
  readonly width: Mm;
  readonly figure: Figure;
}

/**
 * Panels side by side, in the reading order of the outside, with the creases between them: wraps, covers, bands.
 * @param fixed the panel that lies still while the others fold, from 0
 */
export function panelRow(
  row: readonly RowPanel[],
  height: Mm,
  process: 'fold' | 'score',
  { write }: FormatContext,
  { fixed = 0, rule = 'Side by side, in the order in which the outside is read' } = {},
): PanelRow {
  const kept = row.filter((p) => p.width > 0);
  const stops = sums(kept.map((p) => p.width));
  const width = stops.at(-1) ?? 0;
  const panels = kept.map((p, i): Panel => ({ name: p.name, x: stops[i] ?? 0, y: 0, width: p.width, height }));
  const creases = stops
    .slice(1, -1)
    .map((x): ProcessLine => ({ process, from: { x, y: 0 }, to: { x, y: height }, direction: 'down' }));
  const still = Math.min(fixed, kept.length - 1);
  // From the outermost crease inward, so that a flap is in before its neighbour turns.
  const right = kept
    .map((_, i) => i)
    .filter((i) => i > still)
    .reverse();
  const left = kept.map((_, i) => i).filter((i) => i < still);
  const step = (i: number) => {
    const after = i > still;
    const x = stops[after ? i : i + 1] ?? 0;
    const facets = kept.map((_, k) => k).filter((k) => (after ? k >= i : k <= i));
    const angle = -(kept[after ? i : i + 1]?.turn ?? 90);
    return {
      name: `Fold ${kept[i]?.name ?? ''} back`,
      turns: [{ facets, stays: after ? i - 1 : i + 1, from: { x, y: 0 }, to: { x, y: height }, angle }],
      layers: kept.map(() => 0),
    };
  };
  return {
    panels,
    creases,
    width,
    folding: {
      up: 'outside',
      down: 'inside',
      parts: panels.map((p) => ({ name: p.name, outline: cornersOf(p) })),
      steps: [...right, ...left].map(step),
    },
    figure: {
      id: 'panels-across',
      group: 'panels',
      name: 'Panels, outside',
      value: kept.map((p) => p.width),
      unit: 'mm',
      working: [
        kept.map((p) => `${p.name} ${write(p.width)}`).join(' | '),
        `${kept.map((p) => write(p.width)).join(' + ')} = ${write(width)}`,
      ],
      rule,
      measured: { kind: 'stops', axis: 'x', stops, surface: 'outside' },
    },
  };
}
