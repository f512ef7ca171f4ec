import type { Mm } from '../measure';
import { Impossible } from '../parameter';

/** One direction of a sheet of labels: what is known, and by which decision. */
export interface TrackRequest {
  readonly sheet: Mm;
  readonly label: Mm;
  readonly count: number | undefined;
  readonly pitch: Mm | undefined;
  /** From the sheet’s edge to the first label. */
  readonly margin: Mm | undefined;
  readonly names: { readonly sheet: string; readonly count: string; readonly pitch: string; readonly margin: string };
}

export interface Track {
  readonly count: number;
  readonly pitch: Mm;
  readonly margin: Mm;
  /** What is left at the far end. */
  readonly end: Mm;
  readonly working: readonly string[];
}

const NEAR = 1e-6;
/** Clear rim that a sheet keeps where nothing else says, mm [cp]. */
const RIM = 5;

/**
 * Solves sheet = margin + (n − 1) × pitch + label + end from whatever is known. Where the margins are not given they
 * are alike; where nothing gives the pitch, labels touch.
 * @throws Impossible naming the decision that cannot be
 */
export function solveTrack(request: TrackRequest, write: (mm: Mm) => string): Track {
  const { sheet, label, names } = request;
  if (label > sheet + NEAR)
    throw new Impossible(
      'size',
      `The label is ${write(label)}, its sheet ${write(sheet)}: take a smaller label or a larger sheet.`,
    );
  if (request.pitch !== undefined && request.pitch < label - NEAR)
    throw new Impossible(names.pitch, `The pitch is at least the label, ${write(label)}; smaller ones overlap.`);
  if (request.margin !== undefined && request.margin > sheet - label + NEAR)
    throw new Impossible(names.margin, `The first label would lie beyond the sheet: at most ${write(sheet - label)}.`);
  const given = (word: string, known: unknown) => (known === undefined ? '' : ` (${word} given)`);

  const settle = (): { count: number; pitch: Mm; margin: Mm; how: string } => {
    const { count, pitch, margin } = request;
    if (count === 1) return { count, pitch: pitch ?? label, margin: margin ?? (sheet - label) / 2, how: 'one label' };
    if (count !== undefined && pitch !== undefined) {
      const alike = (sheet - (count - 1) * pitch - label) / 2;
      return { count, pitch, margin: margin ?? alike, how: 'margins = (sheet − (n − 1) × pitch − label) ÷ 2' };
    }
    if (count !== undefined && margin !== undefined) {
      const solved = (sheet - 2 * margin - label) / (count - 1);
      return { count, pitch: solved, margin, how: 'pitch = (sheet − 2 × margin − label) ÷ (n − 1)' };
    }
    if (count !== undefined)
      return { count, pitch: label, margin: (sheet - count * label) / 2, how: 'labels touch; margins share the rest' };
    const step = pitch ?? label;
    const start = margin ?? RIM;
    const n = Math.max(1, Math.floor((sheet - 2 * start - label) / step + NEAR) + 1);
    const rest = (sheet - (n - 1) * step - label) / 2;
    return { count: n, pitch: step, margin: margin ?? rest, how: 'n = as many as fit' };
  };
  const { count, pitch, margin, how } = settle();
  if (pitch < label - NEAR)
    throw new Impossible(
      names.count,
      `${count} labels of ${write(label)} do not fit between these margins: the pitch would be ` +
        `${write(pitch)}. At most ${Math.max(1, Math.floor((sheet - 2 * margin) / label + NEAR))} fit.`,
    );
  const end = sheet - margin - (count - 1) * pitch - label;
  if (end < -NEAR || margin < -NEAR)
    throw new Impossible(
      names.count,
      `${count} labels at ${write(pitch)} need ${write((count - 1) * pitch + label)}; the sheet has ` +
        `${write(sheet)}. At most ${Math.max(1, Math.floor((sheet - label) / pitch + NEAR) + 1)} fit.`,
    );
  return {
    count,
    pitch,
    margin,
    end: Math.max(0, end),
    working: [
      `${how}${given('count', request.count)}${given('pitch', request.pitch)}${given('margin', request.margin)}`,
      `${write(margin)} + ${count - 1} × ${write(pitch)} + ${write(label)} + ${write(Math.max(0, end))} = ` +
        write(sheet),
      `gap between labels ${write(pitch - label)}`,
    ],
  };
}
