import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { isHouseKnown, type Job } from '@/core/job';
import { formatCount } from '@/core/measure';
import { filesBy } from '@/core/schedule';
import { lateWords } from '../open-job/plan-words';
import { usePlan } from '../open-job/use-plan';
import { dayWords, dueWords } from '../shell/moments';
import { COLOURS, FACES } from '../shell/theme';

const TOOTH = 12;
/** The torn edge at the head of the sheet. */
const TORN = `polygon(${[
  ...Array.from({ length: 31 }, (_, i) => `${((i / 30) * 100).toFixed(2)}% ${i % 2 === 0 ? TOOTH / 2 : 0}px`),
  '100% 100%',
  '0 100%',
].join(', ')})`;

interface Props {
  readonly job: Job | undefined;
  readonly station?: string;
  /** Below the head of the sheet. */
  readonly children?: ReactNode;
  /** The slip that is clipped onto it. */
  readonly slip?: ReactNode;
}

/** Decisions on the sheet are white fields, as wide as what stands in them and a rim around it. */
const WRITTEN_ON = {
  // White fields beside each other stay two.
  '--ys-gap': '14px',
  '& .MuiInput-root': { bgcolor: COLOURS.paper, ml: '-4px', mr: '-4px', px: '4px', width: 'calc(100% + 8px)' },
  '& .MuiToggleButton-root:not(.Mui-selected), & .MuiButton-outlined': { bgcolor: COLOURS.paper },
  '& .MuiFormControl-root, & .MuiAutocomplete-root': { maxWidth: '100%' },
} as const;

/** The yellow paper, and what job it is. */
export function SheetPaper({ job, station, children, slip }: Props) {
  return (
    <Box
      component="aside"
      aria-label="Yellow sheet"
      sx={{
        width: { xs: 'auto', sm: 352 },
        flex: { xs: '1 1 0', sm: 'none' },
        bgcolor: COLOURS.sheet,
        clipPath: TORN,
        pt: `${TOOTH + 8}px`,
        ml: { xs: 1, sm: 2.5 },
        mr: { xs: 1, sm: 0 },
        mt: { xs: 0, sm: 1.5 },
        color: COLOURS.ink,
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
      }}
      data-station={station}
      data-on="paper"
    >
      <Box sx={{ flex: '1 1 0', minHeight: 190, overflowY: 'auto', scrollbarWidth: 'thin', pb: 2, ...WRITTEN_ON }}>
        {job && <Head job={job} />}
        {children}
      </Box>
      {slip}
    </Box>
  );
}

function Head({ job }: { readonly job: Job }) {
  const stock =
    job.stock.name ||
    [job.stock.kind, job.stock.grammage ? `${job.stock.grammage} g/m²` : ''].filter(Boolean).join(' ');
  const house = isHouseKnown(job) ? job.house.name : 'no printer yet: common rules';
  const plan = usePlan(job);
  const files = filesBy(plan);
  const filesDue = files !== undefined && job.house.leadDays !== undefined ? `files by ${dayWords(files)}` : '';
  return (
    <Box sx={{ px: 2.5, pb: 1.25, borderBottom: `2px solid ${COLOURS.ink}` }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', fontFamily: FACES.figure, fontSize: 12 }}>
        <span>{job.quantity ? `${formatCount(job.quantity)} copies` : 'quantity open'}</span>
        <span suppressHydrationWarning>{dueWords(job.due)}</span>
      </Box>
      <Box
        component="h1"
        sx={{ m: 0, mt: 0.5, fontFamily: FACES.title, fontSize: 24, lineHeight: 1.15, overflowWrap: 'anywhere' }}
      >
        {job.name}
      </Box>
      <Box sx={{ fontSize: 13.5, color: COLOURS.sheetSoft, overflowWrap: 'anywhere' }}>
        {[job.client, house, stock, filesDue].filter(Boolean).join(' · ')}
      </Box>
      {plan && plan.late > 0 && (
        <Box sx={{ fontSize: 13.5, fontWeight: 600 }} data-late>
          ▲ {lateWords(plan)}
        </Box>
      )}
    </Box>
  );
}
