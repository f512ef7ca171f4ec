'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { RULES, applyChange, type Fix } from '@/core/check';
import { counted, formatMoney } from '@/core/measure';
import type { Fault, Outcome } from '@/core/practice';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import type { RoundResult } from '../shell/api';
import { COLOURS } from '../shell/theme';

/** Told by their shape too. */
const SIGNS: Readonly<Record<Outcome, readonly [sign: string, words: string]>> = {
  found: ['●', 'found'],
  seen: ['◐', 'seen, and called something else or not pointed at'],
  missed: ['○', 'missed'],
};

const titleOf = (rule: string): string => RULES.find(({ id }) => id === rule)?.title ?? rule;

/** Each fault with its reason, what it would have cost, and its fix, to be tried at once. */
export function Answers({ result }: { readonly result: RoundResult }) {
  const { faults, outcomes, wrong } = result;
  const { nameIn } = useDesk();
  const found = outcomes.filter((one) => one === 'found').length;
  return (
    <section aria-label="Answers">
      <Heading>Answers</Heading>
      <Box sx={{ px: 2.5, py: 0.75, display: 'grid', gap: 1.25, fontSize: 14 }}>
        <div role="status">
          <b>
            {found} of {counted(faults.length, 'fault')} found.
          </b>{' '}
          <Sent result={result} />
        </div>
        {faults.map((fault, i) => (
          <Answer key={fault.rule} fault={fault} outcome={outcomes[i] ?? 'missed'} />
        ))}
        {wrong.length > 0 && (
          <div>
            Nothing is wrong where you marked{' '}
            {wrong
              .map(({ rule, element, side }) => {
                const where = element === null ? side : `“${nameIn(element) ?? 'it'}”`;
                return `${titleOf(rule)} (${where})`;
              })
              .join(', ')}
            .
          </div>
        )}
      </Box>
    </section>
  );
}

/** What would have come of it, sent with what was not found. */
function Sent({ result: { faults, outcomes, reprint } }: { readonly result: RoundResult }) {
  const left = faults.filter((_, i) => outcomes[i] !== 'found');
  if (left.length === 0) return <>It could be sent.</>;
  const isSpoilt = left.some(({ severity }) => severity === 'fault');
  if (!isSpoilt) return <>Sent like that, it would be printed, and not be as it should.</>;
  const words = reprint
    ? `: ${formatMoney(reprint.total, reprint.currency)} at ${reprint.house}, and the days it takes.`
    : '.';
  return <>Sent like that, it would have to be printed anew{words}</>;
}

function Answer({ fault, outcome }: { readonly fault: Fault; readonly outcome: Outcome }) {
  const show = useJob((s) => s.show);
  const select = useJob((s) => s.select);
  const change = useJob((s) => s.change);
  const undo = useJob((s) => s.undo);
  const last = useJob((s) => s.undoStack.at(-1));
  const [sign, words] = SIGNS[outcome];
  const label = (fix: Fix) => `${fault.rule} ${fix.label}`;
  const isMended = last !== undefined && 'label' in last && fault.fixes.some((fix) => label(fix) === last.label);
  return (
    <Box component="article" aria-label={titleOf(fault.rule)} sx={{ borderTop: `1px solid ${COLOURS.line}`, pt: 0.75 }}>
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        <Box component="span" aria-hidden sx={{ fontSize: 16, lineHeight: 1.2 }}>
          {sign}
        </Box>
        <b>
          {titleOf(fault.rule)}: {words}
        </b>
      </Box>
      <div>
        {fault.did} {fault.message}
      </div>
      <Box sx={{ color: 'text.secondary' }}>{fault.why}</Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', pt: 0.5 }}>
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            show(fault.side);
            select(fault.elements.slice(0, 1));
          }}
        >
          Show
        </Button>
        {fault.fixes.map((fix) => (
          <Button
            key={fix.label}
            size="small"
            variant="outlined"
            onClick={() => change(label(fix), (job) => applyChange(job, fix.change))}
          >
            {fix.label}
          </Button>
        ))}
        {isMended && (
          <Button size="small" onClick={() => void undo()}>
            As it was
          </Button>
        )}
      </Box>
    </Box>
  );
}
