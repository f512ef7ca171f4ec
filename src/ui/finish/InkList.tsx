'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type SpotInk } from '@/core/job';
import { SPOT_FINISHES, whyNoInkName } from '@/core/element';
import { formatNumber } from '@/core/measure';
import { COATINGS, PROCESSES } from '@/core/shop';
import { ChoiceField } from '../field/ChoiceField';
import { BuildField } from '../field/BuildField';
import { LabField } from '../field/LabField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Fold } from '../shell/Fold';
import { writeHex } from '@/core/colour';
import { inkLab, mergedInks, nearDuplicates, unusedColours, withInk, withoutInk } from '@/core/edit';

/** Spot inks that artwork is printed with, each on a plate of its own. */
export function InkList() {
  const { job, rules, paints } = useDesk();
  const change = useJob((s) => s.change);
  const inks = job.inks ?? [];
  const unused = new Set(unusedColours(job).inks);
  const technical = [...COATINGS.map((c) => rules.coatings[c].spot), ...PROCESSES.map((p) => rules.lines[p].spot)];
  const refuseName = (name: string, before?: string): string | undefined => {
    const low = name.toLowerCase();
    if (name === '') return 'An ink needs a name.';
    const why = whyNoInkName(name);
    if (why) return why;
    if (technical.some((t) => t.toLowerCase() === low))
      return `“${name}” is the plate of a line or coating. Choose another.`;
    return inks.some((i) => i.name !== before && i.name.toLowerCase() === low)
      ? 'Another ink is called so.'
      : undefined;
  };
  const pairs = nearDuplicates(inks, (ink) => inkLab(ink, paints));
  return (
    <Fold title="Spot inks" count={inks.length}>
      {inks.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          A spot ink is mixed before it comes to the press and has a plate of its own: a metallic, a house colour, a
          fluorescent.
        </Box>
      )}
      {inks.map((ink) => (
        <Box
          key={ink.name}
          data-ink={ink.name}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'flex-end' }}
        >
          <svg width={18} height={18} aria-hidden style={{ flex: 'none', marginBottom: 6 }}>
            <rect x={0.5} y={0.5} width={17} height={17} fill={writeHex(paints.toRgb(ink))} stroke="currentColor" />
          </svg>
          <WordsField
            label={unused.has(ink.name) ? 'name (not used)' : 'name'}
            value={ink.name}
            most={60}
            width={92}
            refuse={(name) => refuseName(name, ink.name)}
            onChange={(name) => change('Ink', (now) => withInk(now, { ...ink, name }, ink.name))}
          />
          <BuildField
            label="shown as"
            width={92}
            value={ink}
            onChange={(build) => change('Ink', (now) => withInk(now, { ...ink, ...build }, ink.name))}
          />
          <LabField
            label="measured L* a* b*"
            width={112}
            value={ink.lab}
            onChange={(lab) => change('Ink', (now) => withInk(now, { ...ink, lab }, ink.name))}
          />
          <ChoiceField
            label="finish"
            width={96}
            value={ink.finish}
            options={SPOT_FINISHES.map((f) => ({ value: f, label: f }))}
            onChange={(finish) => change('Ink', (now) => withInk(now, { ...ink, finish }, ink.name))}
          />
          <Button
            size="small"
            sx={{ minWidth: 0 }}
            aria-label={`Remove ${ink.name}; what is printed with it takes its build`}
            onClick={() => change('Remove ink', (now) => withoutInk(now, ink.name))}
          >
            ✕
          </Button>
        </Box>
      ))}
      {pairs.map(({ one, two, deltaE }) => (
        <Box key={`${one.name} ${two.name}`} sx={{ fontSize: 13 }}>
          {one.name} and {two.name} pass for one (ΔE {formatNumber(deltaE, 1)}).{' '}
          <Button size="small" onClick={() => change('Merge inks', (now) => mergedInks(now, two.name, one.name))}>
            Print both with {one.name}
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        <Button
          size="small"
          onClick={() =>
            change('Add an ink', (now) =>
              withInk(now, { name: freeName(inks), finish: 'plain', c: 0, m: 60, y: 100, k: 0 }),
            )
          }
        >
          Add a spot ink
        </Button>
        {unused.size > 0 && (
          <Button
            size="small"
            onClick={() =>
              change('Remove unused inks', (now) => [...unused].reduce((j, name) => withoutInk(j, name), now))
            }
          >
            Remove what is not used
          </Button>
        )}
      </Box>
    </Fold>
  );
}

function freeName(inks: readonly SpotInk[]): string {
  let n = inks.length + 1;
  while (inks.some((i) => i.name === `Spot ${n}`)) n += 1;
  return `Spot ${n}`;
}
