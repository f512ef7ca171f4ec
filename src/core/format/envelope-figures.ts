import type { Figure } from '../figure';
import type { Mm, Parsed } from '../measure';
import { ENVELOPES, envelopeNamed, fitEnvelope, smallestEnvelope, type Size } from '../paper';
import { isImperial } from '../rules';
import type { BlankProblem } from './blank';
import type { FormatContext } from './format';
import { ok, text, wrong } from '../parameter';

/** Which envelope a piece goes into: `auto` finds the smallest that fits, `none` needs none. */
export const envelopeParameter = (preset: 'auto' | 'none') =>
  text('Envelope', preset, 'auto, none, or one by name: C5, DL, A7.', (typed) =>
    ['auto', 'none'].includes(typed.trim().toLowerCase()) ? ok(typed.trim().toLowerCase()) : readEnvelope(typed),
  );

/** An envelope by name, or the names there are. */
export function readEnvelope(typed: string): Parsed<string> {
  const found = envelopeNamed(typed);
  if (found) return ok(found.name);
  const names = ENVELOPES.map((e) => e.name).join(', ');
  return wrong(typed, `There is no envelope “${typed.trim()}”. There are ${names}.`);
}

/** The envelope with its clearance both ways, as figures; a card as large as its envelope is a problem. */
export function envelopeFacts(
  wanted: string,
  piece: Size,
  thickness: Mm,
  { write, unit }: FormatContext,
): { readonly figures: readonly Figure[]; readonly problems: readonly BlankProblem[] } {
  const word = wanted.trim().toLowerCase();
  if (word === 'none') return { figures: [], problems: [] };
  const series = isImperial(unit) ? 'US' : 'ISO';
  const named = envelopeNamed(wanted);
  const fit = named ? fitEnvelope(piece, thickness, named) : smallestEnvelope(piece, thickness, series);
  if (!fit) {
    const size = `${write(piece.width)} × ${write(piece.height)}`;
    const message = `No envelope on the list takes ${size}; one has to be made.`;
    return { figures: [], problems: [{ severity: 'note', message, parameter: 'envelope' }] };
  }
  const { envelope, clearance, needed, turned } = fit;
  const better = fit.fits ? undefined : smallestEnvelope(piece, thickness, series);
  return {
    figures: [
      {
        id: 'envelope',
        group: 'size',
        name: `Envelope ${envelope.name}`,
        value: [envelope.width, envelope.height],
        unit: 'mm',
        working: [
          `clearance across = ${write(clearance.width)}, down = ` +
            `${write(clearance.height)}${turned ? ' (turned a quarter)' : ''}`,
          `needed in total each way = 1/8 in + ${write(thickness)} thick = ${write(needed)}`,
        ],
        rule: named
          ? 'The designer’s choice of envelope'
          : 'The smallest envelope with that clearance (common practice)',
      },
    ],
    problems: fit.fits
      ? []
      : [
          {
            severity: 'fault',
            parameter: 'envelope',
            message:
              `It does not go into a ${envelope.name}: ${write(Math.min(clearance.width, clearance.height))} ` +
              `is left, ${write(needed)} is needed.${better ? ` A ${better.envelope.name} takes it.` : ''}`,
          },
        ],
  };
}
