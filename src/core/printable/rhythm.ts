import type { Mm } from '../measure';
import { Impossible, choice, solvedCount } from '../parameter';
import type { Finding, PrintableContext } from './printable';

/** How many there are, and what gives way to the height. */
export const fitParameter = choice(
  'Fit',
  'keep',
  'Keep the spacing and leave the rest over, fill the height exactly, or give the count.',
  {
    keep: 'keep the spacing',
    fill: 'fill the height',
    count: 'give the count',
  },
);

export const countParameter = solvedCount('Count', 'How many; the spacing is solved.', 1, 2000, {
  when: (v) => v['fit'] === 'count',
});

/** What is laid down a height again and again. */
export interface Beat {
  /** What is counted: “line”, “set”, “row”. */
  readonly what: string;
  readonly height: Mm;
  readonly head: Mm;
  /** Left out, one gap: nothing stands on the lower edge. */
  readonly foot: Mm | undefined;
  /** Height of one, mm; a line has none. */
  readonly set: Mm;
  readonly gap: Mm;
  readonly fit: 'keep' | 'fill' | 'count';
  readonly count: number | undefined;
  /** Whether the sets grow or the gaps between them, where the height is to be filled. */
  readonly gives: 'set' | 'gap';
  /** The decisions to change where none fits, as the kind calls them. */
  readonly decisions?: { readonly head: string; readonly spacing: string; readonly count: string };
}

const USUAL_DECISIONS = { head: 'head', spacing: 'spacing', count: 'count' };

export interface Rhythm {
  readonly count: number;
  readonly set: Mm;
  readonly gap: Mm;
  /** Head of each, mm from the top of the box. */
  readonly starts: readonly Mm[];
  /** Left over beyond head, sets, gaps and foot. */
  readonly rest: Mm;
  readonly findings: readonly Finding[];
}

/** Less than this is arithmetic, mm. */
const TINY = 1e-6;

/**
 * As many as fit: n = floor((H − head − foot + gap) ÷ (set + gap)); then, where the height is to be filled, the
 * set or the gap that fills it with n. Count × pitch + rest is always the height.
 */
export function rhythm(beat: Beat, { write }: Pick<PrintableContext, 'write'>): Rhythm {
  const { what, height, head, set, gap, fit, decisions = USUAL_DECISIONS } = beat;
  const isOpen = beat.foot === undefined;
  const foot = beat.foot ?? gap;
  const room = height - head - foot;
  const pitch = set + gap;
  if (pitch <= 0) throw new Impossible(decisions.spacing, 'There is nothing to count: give a spacing above 0.');
  if (room < set - TINY)
    throw new Impossible(
      decisions.head,
      `Head and foot leave ${write(Math.max(0, room))}; one ${what} takes ${write(set)}.`,
    );
  const fitting = Math.floor((room + gap + TINY) / pitch);
  const count = fit === 'count' ? (beat.count ?? fitting) : fitting;
  if (count < 1)
    throw new Impossible(
      decisions.spacing,
      `No ${what} fits: there is room for ${write(room)}, one takes ${write(pitch)}.`,
    );
  const solved = fit === 'keep' ? { set, gap } : filled({ ...beat, foot, room, count, isOpen });
  if (solved.gap < -TINY || solved.set < -TINY)
    throw new Impossible(decisions.count, `${count} of ${write(set)} are higher than the ${write(room)} there are.`);
  const used = count * solved.set + (count - 1) * solved.gap;
  const rest = Math.max(0, height - head - used - (isOpen ? solved.gap : foot));
  const starts = Array.from({ length: count }, (_, i) => head + i * (solved.set + solved.gap));
  const footWords = isOpen ? 'foot, one gap,' : 'foot';
  const [name, plural] = [capital(what), `${what}s`];
  const findings: Finding[] = [
    {
      id: 'count',
      name: capital(plural),
      value: count,
      unit: 'count',
      working:
        fit === 'count'
          ? [`${count} ${plural}, as given`]
          : [
              `floor((${write(height)} − ${write(head)} head − ${write(foot)} ${footWords} + ${write(gap)} ` +
                `gap) ÷ (${write(set)} + ${write(gap)}))`,
              `floor(${((room + gap) / pitch).toFixed(2)}) = ${count} ${count === 1 ? what : plural}, ` +
                `${write(rest)} left over`,
            ],
      rule: 'n = floor((H − head − foot + gap) ÷ (set + gap))',
      stops: { axis: 'y', stops: [0, ...starts, height] },
    },
    {
      id: 'pitch',
      name: `${name} to ${what}`,
      value: solved.set + solved.gap,
      unit: 'mm',
      working: [
        fit === 'keep'
          ? `${write(solved.set)} + ${write(solved.gap)}`
          : `the ${beat.gives === 'set' ? `${what}s give` : 'gaps give'} way: ` +
            `${write(beat.gives === 'set' ? set : gap)} becomes ` +
            write(beat.gives === 'set' ? solved.set : solved.gap),
        `${count} × ${write(solved.set + solved.gap)} + ${write(head)} head + ` +
          `${write(height - head - count * (solved.set + solved.gap))} below = ${write(height)}`,
      ],
      rule: fit === 'keep' ? 'As given' : 'Solved so that nothing is left over',
    },
    {
      id: 'rest',
      name: 'Left over',
      value: rest,
      unit: 'mm',
      working: [offer(beat, { count: fitting, room, isOpen }, write)],
      rule: 'What the last one leaves above the foot',
    },
  ];
  return { count, ...solved, starts, rest, findings };
}

interface Filled extends Pick<Beat, 'set' | 'gap' | 'gives' | 'height' | 'head'> {
  readonly foot: Mm;
  readonly room: Mm;
  readonly count: number;
  readonly isOpen: boolean;
}

/** The set or the gap at which so many fill the height; with an open foot a gap stands below the last too. */
function filled({ set, gap, gives, height, head, room, count, isOpen }: Filled): {
  readonly set: Mm;
  readonly gap: Mm;
} {
  if (gives === 'gap') {
    const gaps = isOpen ? count : count - 1;
    const free = (isOpen ? height - head : room) - count * set;
    return { set, gap: gaps > 0 ? free / gaps : gap };
  }
  const gaps = (isOpen ? count : count - 1) * gap;
  return { set: ((isOpen ? height - head : room) - gaps) / count, gap };
}

/** What filling the height would come to, said where the spacing is kept. */
function offer(
  beat: Beat,
  { count, room, isOpen }: Pick<Filled, 'count' | 'room' | 'isOpen'>,
  write: (mm: Mm) => string,
): string {
  const full = filled({ ...beat, foot: beat.foot ?? beat.gap, room, count, isOpen });
  const value = beat.gives === 'set' ? full.set : full.gap;
  return beat.fit === 'keep'
    ? `to fill the height exactly: ${write(value)} instead of ${write(beat.gives === 'set' ? beat.set : beat.gap)}`
    : 'nothing: it was solved';
}

export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
