'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { RULES } from '@/core/check';
import { useJob } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { useBenchView } from '../../view/bench-view';
import { COLOURS, FACES } from '../../shell/theme';
import { useFix, useSeeFinding } from '../../open-job/use-fix';
import { SIGN } from '../../sheet/Checks';
import { Slip } from '../../slip/Slip';

/** Every finding with its reason and its fixes; the bench shows where they are. */
export function InspectSlip() {
  const findings = useFindings();
  const { surface, nameIn } = useDesk();
  const selection = useJob((s) => s.selection);
  const see = useSeeFinding();
  const fix = useFix();
  const { guides, trimmed, toggle } = useBenchView();
  const counters = new Map<string, number>();
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
        {findings.map((finding, i) => {
          const number = (counters.get(finding.surface) ?? 0) + 1;
          counters.set(finding.surface, number);
          const isShown = finding.surface === surface.name;
          const colour =
            finding.severity === 'fault'
              ? COLOURS.fault
              : finding.severity === 'warning'
                ? COLOURS.warning
                : COLOURS.inkSoft;
          return (
            <Box
              component="li"
              key={`${finding.rule}-${finding.element}-${i}`}
              data-finding={finding.rule}
              data-element={finding.element}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                columnGap: 1,
                alignItems: 'center',
                py: 0.75,
                borderTop: `1px solid ${COLOURS.line}`,
                bgcolor: finding.element && selection.includes(finding.element) ? COLOURS.sheetPale : undefined,
              }}
            >
              <Box
                sx={{
                  flex: 'none',
                  minWidth: 30,
                  color: colour,
                  fontFamily: FACES.figure,
                  fontSize: 13,
                  fontWeight: 600,
                }}
              >
                <span aria-hidden>{SIGN[finding.severity]}</span> {isShown ? number : finding.surface}
              </Box>
              <Box sx={{ flex: '1 0 70%', fontSize: 14, lineHeight: 1.3 }}>
                <b>{RULES.find((r) => r.id === finding.rule)?.title}</b>
                {finding.element ? `: ${nameIn(finding.element) ?? 'element'}. ` : '. '}
                {finding.message}
                <Box sx={{ color: 'text.secondary', fontSize: 12.5 }}>{finding.why}</Box>
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
        })}
      </Box>
    </Slip>
  );
}
