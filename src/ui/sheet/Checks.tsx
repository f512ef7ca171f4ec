'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { alike, type Alike } from '@/core/check';
import { useJob } from '../open-job/context';
import { useFix, useSeeFinding } from '../open-job/use-fix';
import { useDesk, useFindings } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';
import { Heading } from '../shell/Heading';

/** Most kinds of findings shown on the sheet itself; all of them stand under Inspect. */
const SHOWN = 3;

const WEIGHT = { fault: COLOURS.fault, warning: COLOURS.warning, note: COLOURS.inkSoft } as const;
/** Told by shape too: a cross, a triangle, a dot. */
export const SIGN = { fault: '✕', warning: '▲', note: '●' } as const;

const MORE = { fontSize: 'inherit', fontFamily: 'inherit', verticalAlign: 'baseline' };

/** What breaks a rule, with the fix beside it; what says the same of several things once. */
export function Checks() {
  const findings = useFindings();
  // There may be thousands: they are sorted when they change, and not with every step of a drag.
  return <Kinds kinds={alike(findings)} />;
}

function Kinds({ kinds }: { readonly kinds: readonly Alike[] }) {
  const { nameIn } = useDesk();
  const see = useSeeFinding();
  const fix = useFix();
  const goWhere = useJob((s) => s.goWhere);
  const hidden = kinds.slice(SHOWN).reduce((sum, kind) => sum + kind.findings.length, 0);
  return (
    <section aria-label="Checks">
      <Heading>Checks</Heading>
      {kinds.length === 0 && (
        <Box sx={{ px: 2.5, py: '3.5px', fontSize: 14, borderBottom: `1px dotted ${COLOURS.sheetLine}` }} role="status">
          Nothing open. Ready for the press.
        </Box>
      )}
      {kinds.slice(0, SHOWN).map(
        ({ findings: [finding, second], findings: { length } }) =>
          finding && (
            <Box
              key={`${finding.severity}-${finding.rule}`}
              data-finding={finding.rule}
              sx={{
                display: 'flex',
                gap: 1,
                alignItems: 'center',
                pl: '16px',
                pr: 2.5,
                py: 0.5,
                borderLeft: `4px solid ${WEIGHT[finding.severity]}`,
                borderBottom: `1px dotted ${COLOURS.sheetLine}`,
                fontSize: 13.5,
              }}
            >
              <Box sx={{ flex: 1, lineHeight: 1.25 }}>
                <Link
                  component="button"
                  type="button"
                  color="inherit"
                  onClick={() => see(finding)}
                  sx={{ fontSize: 'inherit', fontFamily: 'inherit', textAlign: 'left', fontWeight: 600 }}
                >
                  <span aria-hidden>{SIGN[finding.severity]} </span>
                  {finding.element ? (nameIn(finding.element) ?? 'Element') : 'This side'}
                </Link>{' '}
                {finding.message}
                {second && (
                  <>
                    {' '}
                    <Link
                      component="button"
                      type="button"
                      color="inherit"
                      onClick={() => goWhere('inspects')}
                      sx={MORE}
                    >
                      and {length - 1} more
                    </Link>
                  </>
                )}
              </Box>
              {finding.fixes[0] && (
                <Button
                  size="small"
                  variant="contained"
                  onClick={() => fix(finding)}
                  sx={{ flex: 'none', minHeight: 28, maxWidth: 116, lineHeight: 1.15 }}
                >
                  {finding.fixes[0].label}
                </Button>
              )}
            </Box>
          ),
      )}
      {hidden > 0 && (
        <Box sx={{ px: 2.5, py: 0.5 }}>
          <Link
            component="button"
            type="button"
            color="inherit"
            onClick={() => goWhere('inspects')}
            sx={{ fontFamily: 'inherit' }}
          >
            {hidden} more under Inspect
          </Link>
        </Box>
      )}
    </section>
  );
}
