'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import { RULES, alike, commonFix, mendAll, type Alike, type Finding } from '@/core/check';
import { useJob } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { useBenchView } from '../../view/bench-view';
import { COLOURS, FACES } from '../../shell/theme';
import { useFix, useSeeFinding } from '../../open-job/use-fix';
import { SIGN } from '../../sheet/Checks';
import { Slip } from '../../slip/Slip';

/** So many alike each stand by themselves. */
const FEW = 2;

interface Numbered {
  readonly key: string;
  /** As the bench shows it, on its side. */
  readonly number: number;
}

function numbered(findings: readonly Finding[]): ReadonlyMap<Finding, Numbered> {
  const counters = new Map<string, number>();
  return new Map(
    findings.map((finding, i) => {
      const number = (counters.get(finding.surface) ?? 0) + 1;
      counters.set(finding.surface, number);
      return [finding, { key: `${finding.rule}-${finding.element}-${i}`, number }];
    }),
  );
}

/** Every finding with its reason and its fixes; the bench shows where they are. */
export function InspectSlip() {
  const findings = useFindings();
  const { guides, trimmed, toggle } = useBenchView();
  const numbers = numbered(findings);
  const faults = findings.filter((f) => f.severity === 'fault').length;
  return (
    <Slip label="Findings">
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', columnGap: 1, mb: 0.5 }}>
        <Box component="h2" sx={{ m: 0, typography: 'h3', flex: '1 0 100%' }} role="status">
          {findings.length === 0
            ? `Nothing found by ${RULES.length} rules. Ready for the press.`
            : `${findings.length} found, ${faults} of them would spoil the job`}
        </Box>
        <FormControlLabel
          control={<Checkbox size="small" checked={trimmed} onChange={() => toggle('trimmed')} />}
          label="as trimmed"
        />
        <FormControlLabel
          control={<Checkbox size="small" checked={guides} onChange={() => toggle('guides')} />}
          label="guides"
        />
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {alike(findings).map((kind) =>
          kind.findings.length > FEW ? (
            <Together key={`${kind.severity}-${kind.rule}`} kind={kind} numbers={numbers} />
          ) : (
            kind.findings.map((finding) => (
              <One key={numbers.get(finding)?.key} finding={finding} number={numbers.get(finding)?.number} />
            ))
          ),
        )}
      </Box>
    </Slip>
  );
}

const COLOUR = { fault: COLOURS.fault, warning: COLOURS.warning, note: COLOURS.inkSoft } as const;

const titleOf = (rule: string): string => RULES.find((r) => r.id === rule)?.title ?? rule;

interface TogetherProps {
  readonly kind: Alike;
  readonly numbers: ReadonlyMap<Finding, Numbered>;
}

/** Findings that say the same of many things: in one line, each with its place and its fix on wish. */
function Together({ kind, numbers }: TogetherProps) {
  const [open, setOpen] = useState(false);
  const change = useJob((s) => s.change);
  const { findings, severity, rule } = kind;
  const fix = commonFix(kind);
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${COLOURS.line}`, py: 0.75 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'center' }}>
        <Box sx={{ ...SIGNED, color: COLOUR[severity] }}>
          <span aria-hidden>{SIGN[severity]}</span> {findings.length}×
        </Box>
        <Box sx={{ flex: '1 0 70%', fontSize: 14, lineHeight: 1.3 }}>
          <b>{titleOf(rule)}</b>
          <Box sx={{ color: 'text.secondary', fontSize: 12.5 }}>{findings[0]?.why}</Box>
        </Box>
        <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Close' : `Show all ${findings.length}`}
        </Button>
        {fix !== undefined && (
          <Button size="small" variant="contained" onClick={() => change(fix, (now) => mendAll(now, kind, fix))}>
            {fix}: all {findings.length}
          </Button>
        )}
      </Box>
      {open && (
        <Box component="ol" sx={{ m: 0, p: 0, pl: 2, listStyle: 'none' }}>
          {findings.map((finding) => (
            <One key={numbers.get(finding)?.key} finding={finding} number={numbers.get(finding)?.number} isPart />
          ))}
        </Box>
      )}
    </Box>
  );
}

interface OneProps {
  readonly finding: Finding;
  readonly number: number | undefined;
  /** What all of them share is said above. */
  readonly isPart?: boolean;
}

function One({ finding, number, isPart = false }: OneProps) {
  const { surface, nameIn } = useDesk();
  const selection = useJob((s) => s.selection);
  const see = useSeeFinding();
  const fix = useFix();
  const { severity, element, message, why, rule } = finding;
  const name = element ? (nameIn(element) ?? 'element') : undefined;
  return (
    <Box
      component="li"
      data-finding={rule}
      data-element={element}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 1,
        alignItems: 'center',
        py: 0.75,
        borderTop: `1px solid ${COLOURS.line}`,
        bgcolor: element && selection.includes(element) ? COLOURS.sheetPale : undefined,
      }}
    >
      <Box sx={{ ...SIGNED, color: COLOUR[severity] }}>
        <span aria-hidden>{SIGN[severity]}</span> {finding.surface === surface.name ? number : finding.surface}
      </Box>
      <Box sx={{ flex: '1 0 70%', fontSize: 14, lineHeight: 1.3 }}>
        {!isPart && <b>{titleOf(rule)}</b>}
        {isPart ? <b>{name ?? 'This side'}. </b> : name === undefined ? '. ' : `: ${name}. `}
        {message}
        {!isPart && <Box sx={{ color: 'text.secondary', fontSize: 12.5 }}>{why}</Box>}
      </Box>
      <Button size="small" onClick={() => see(finding)}>
        Show
      </Button>
      {finding.fixes.map((f, n) => (
        <Button key={f.label} size="small" variant="contained" onClick={() => fix(finding, n)}>
          {f.label}
        </Button>
      ))}
    </Box>
  );
}

const SIGNED = { flex: 'none', minWidth: 30, fontFamily: FACES.figure, fontSize: 13, fontWeight: 600 };
