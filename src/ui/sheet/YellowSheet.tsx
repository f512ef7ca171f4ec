'use client';
import Box from '@mui/material/Box';
import { useDeferredValue, type ReactNode } from 'react';
import type { Figure } from '@/core/figure';
import { itemsOf, leavesOf } from '@/core/drawing';
import { totalLaid } from '@/core/colour';
import { isHouseKnown, type Job } from '@/core/job';
import { filesBy } from '@/core/shop';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { Checks } from './Checks';
import { Heading } from '../shell/Heading';
import { SheetLine } from './SheetLine';
import { dueWords } from '../shell/due';

const GROUPS: readonly { readonly group: Figure['group']; readonly title: string }[] = [
  { group: 'size', title: 'Size' },
  { group: 'panels', title: 'Parts' },
  { group: 'grid', title: 'Grid' },
  { group: 'on the sheet', title: 'On the press sheet' },
  { group: 'picture and ink', title: 'Picture and ink' },
  { group: 'output', title: 'Press' },
];

const TOOTH = 12;
/** The torn edge at the head of the sheet. */
const TORN = `polygon(${[
  ...Array.from({ length: 31 }, (_, i) => `${((i / 30) * 100).toFixed(2)}% ${i % 2 === 0 ? TOOTH / 2 : 0}px`),
  '100% 100%',
  '0 100%',
].join(', ')})`;

interface Props {
  /** What the station has on the sheet, between the checks and the figures. */
  readonly children: ReactNode;
  /** The slip that is clipped onto it. */
  readonly slip?: ReactNode;
}

/** The job’s facts in the order of the work, each with its working. */
export function YellowSheet({ children, slip }: Props) {
  const { job } = useDesk();
  const stock =
    job.stock.name ||
    [job.stock.kind, job.stock.grammage ? `${job.stock.grammage} g/m²` : ''].filter(Boolean).join(' ');
  const house = isHouseKnown(job) ? job.house.name : 'no printer yet: common rules';
  const station = useJob((s) => s.station);
  // When a job opens, the bench comes first and the figures the moment after.
  const isOpen = useDeferredValue(true, false);
  return (
    <Box
      component="aside"
      aria-label="Yellow sheet"
      sx={{
        width: 352,
        flex: 'none',
        bgcolor: COLOURS.sheet,
        clipPath: TORN,
        pt: `${TOOTH + 8}px`,
        ml: 2.5,
        mt: 1.5,
        color: COLOURS.ink,
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
      }}
      data-station={station.id}
    >
      <Box sx={{ flex: '1 1 0', minHeight: 190, overflowY: 'auto', scrollbarWidth: 'thin', pb: 2 }}>
        <Box sx={{ px: 2.5, pb: 1.25, borderBottom: `2px solid ${COLOURS.ink}` }}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between', fontFamily: FACES.figure, fontSize: 12 }}>
            <span>{job.quantity ? `${job.quantity.toLocaleString('en-GB')} copies` : 'quantity open'}</span>
            <span>{dueWords(job.due)}</span>
          </Box>
          <Box
            component="h1"
            sx={{ m: 0, mt: 0.5, fontFamily: FACES.title, fontSize: 24, lineHeight: 1.15, overflowWrap: 'anywhere' }}
          >
            {job.name}
          </Box>
          <Box sx={{ fontSize: 13.5, color: COLOURS.sheetSoft, overflowWrap: 'anywhere' }}>
            {[job.client, house, stock, filesDue(job)].filter(Boolean).join(' · ')}
          </Box>
        </Box>
        {isOpen && <Contents>{children}</Contents>}
      </Box>
      {slip}
    </Box>
  );
}

/** The checks, what lies on the side, and the figures. */
function Contents({ children }: Pick<Props, 'children'>) {
  const { job, blank, drawing, rules } = useDesk();
  const unit = job.unit;
  const inked = inkMost(drawing);
  return (
    <>
      <Checks />
      {children}
      {GROUPS.map(({ group, title }) => {
        const lines = blank.figures.filter((f) => f.group === group);
        if (lines.length === 0) return null;
        return (
          <section key={group} aria-label={title}>
            <Heading>{title}</Heading>
            {lines.map((figure) => (
              <SheetLine key={figure.id} figure={figure} unit={unit} />
            ))}
            {group === 'picture and ink' && inked && (
              <SheetLine
                unit={unit}
                figure={{
                  id: 'ink-most',
                  group,
                  name: 'Ink, most',
                  value: Math.round(inked.total),
                  unit: '%',
                  working: [
                    `on the ${drawing.surface}: ${inked.name} lays down ${Math.round(inked.total)} %`,
                    `limit ${rules.inkLimit.value} %; pictures are kept within it by the output profile`,
                  ],
                  rule: 'Largest C + M + Y + K of any fill, line or type on this side',
                }}
              />
            )}
          </section>
        );
      })}
    </>
  );
}

/** When the files have to be with the printer. */
const filesDue = ({ due, house }: Job): string =>
  due !== null && house.leadDays !== undefined ? `files by ${dayWords(filesBy(due, house.leadDays))}` : '';

const dayWords = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });

/** The heaviest build on a side, with what carries it. */
function inkMost(drawing: ReturnType<typeof useDesk>['drawing']): { total: number; name: string } | undefined {
  const names = new Map(drawing.frames.map((f) => [f.element, f.name]));
  let most: { total: number; name: string } | undefined;
  for (const item of leavesOf(itemsOf(drawing))) {
    const inks = item.kind === 'path' ? [item.fill, item.stroke?.ink] : item.kind === 'glyphs' ? [item.ink] : [];
    for (const ink of inks) {
      if (ink?.kind !== 'process') continue;
      const total = totalLaid(ink);
      if (!most || total > most.total) most = { total, name: names.get(item.from) ?? item.from };
    }
  }
  return most;
}
