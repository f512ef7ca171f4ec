'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { RULES, alike, commonFix, mendAll, type Alike, type Finding } from '@/core/check';
import { useJob } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { Heading } from '../../shell/Heading';
import { COLOURS, FACES } from '../../shell/theme';
import { useFix, useSeeFinding } from '../../open-job/use-fix';
import { SIGN } from '../../sheet/Checks';
import { usePileView } from '../../view/pile-view';

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
export function Findings() {
  const findings = useFindings();
  const numbers = numbered(findings);
  const faults = findings.filter((f) => f.severity === 'fault').length;
  return (
    <section aria-label="Checks">
      <Heading>Checks</Heading>
      <Box role="status" sx={{ px: 2.5, py: '3.5px', fontSize: 14, fontWeight: 600 }}>
        {findings.length === 0
          ? `Nothing open, by ${RULES.length} rules. Ready for the press.`
          : `${findings.length} found, ${faults} of them would spoil the job`}
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
    </section>
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
    <Box component="li" sx={{ ...RULED, borderLeftColor: COLOUR[severity] }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'center' }}>
        <Box sx={SIGNED}>
          <span aria-hidden>{SIGN[severity]}</span> {findings.length}×
        </Box>
        <Box sx={{ flex: '1 0 70%', fontSize: 14, lineHeight: 1.3 }}>
          <b>{titleOf(rule)}</b>
          <Box sx={{ color: COLOURS.sheetSoft, fontSize: 12.5 }}>{findings[0]?.why}</Box>
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
  const setPile = usePileView((v) => v.set);
  /** The copy on which it is seen best, on the bench. */
  const seeCopy = (finding: Finding, copy = 0) => {
    see(finding);
    setPile({ mode: 'one', copy, care: 1 });
  };
  const { severity, element, message, why, rule } = finding;
  const isHere = finding.surface === surface.name;
  const name = element ? (nameIn(element) ?? 'element') : undefined;
  return (
    <Box
      component="li"
      data-finding={rule}
      data-element={element}
      sx={{
        ...(isPart ? { py: 0.75, borderTop: `1px dotted ${COLOURS.sheetLine}` } : RULED),
        borderLeftColor: COLOUR[severity],
        bgcolor: element && selection.includes(element) ? COLOURS.sheetPale : undefined,
      }}
    >
      <Box sx={BESIDE}>
        <Box sx={SIGNED}>
          <span aria-hidden>{SIGN[severity]}</span> {isHere ? number : ''}
        </Box>
        <Box>
          {!isHere && <Box sx={{ fontFamily: FACES.figure, fontSize: 12 }}>on the {finding.surface}</Box>}
          {!isPart && <b>{titleOf(rule)}</b>}
          {isPart ? <b>{name ?? 'This side'}. </b> : name === undefined ? '. ' : `: ${name}. `}
          {message}
          {!isPart && <Box sx={{ color: COLOURS.sheetSoft, fontSize: 12.5 }}>{why}</Box>}
        </Box>
      </Box>
      <Box sx={{ pl: '34px', pt: 0.5, display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        <Button size="small" variant="outlined" onClick={() => see(finding)}>
          Show
        </Button>
        {finding.copy !== undefined && (
          <Button size="small" variant="outlined" onClick={() => seeCopy(finding, finding.copy)}>
            Copy {finding.copy + 1}
          </Button>
        )}
        {finding.fixes.map((f, n) => (
          <Button key={f.label} size="small" variant="contained" onClick={() => fix(finding, n)}>
            {f.label}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** As lines of the sheet are ruled, with the weight of what is found at its edge. */
const RULED = {
  pl: '16px',
  pr: 2.5,
  py: 0.75,
  borderLeft: '4px solid',
  borderBottom: `1px dotted ${COLOURS.sheetLine}`,
} as const;

const BESIDE = { display: 'grid', gridTemplateColumns: '34px 1fr', fontSize: 14, lineHeight: 1.3 } as const;

const SIGNED = { flex: 'none', minWidth: 30, fontFamily: FACES.figure, fontSize: 13, fontWeight: 600 };
