'use client';
import Box from '@mui/material/Box';
import { useDeferredValue } from 'react';
import type { FigureGroup } from '@/core/figure';
import { itemsOf, leavesOf } from '@/core/drawing';
import { totalLaid } from '@/core/colour';
import { useJob } from '../open-job/context';
import type { StationProps } from '../open-job/station';
import { useDesk } from '../open-job/use-desk';
import { Checks } from './Checks';
import { Heading } from '../shell/Heading';
import { SheetLine } from './SheetLine';
import { SheetPaper } from './SheetPaper';

/** The parts of the sheet, in the order of the work. */
const GROUPS: readonly { readonly group: FigureGroup; readonly title: string }[] = [
  { group: 'size', title: 'Size' },
  { group: 'panels', title: 'Parts' },
  { group: 'grid', title: 'Grid' },
  { group: 'on the sheet', title: 'On the press sheet' },
  { group: 'picture and ink', title: 'Picture and ink' },
  { group: 'output', title: 'Press' },
];

/** The job’s facts in the order of the work, each with its working; what the station decides stands above them. */
export function YellowSheet(props: StationProps) {
  const { job } = useDesk();
  const { id, Slip } = useJob((s) => s.station);
  // When a job opens, the bench comes first and the figures the moment after.
  const isOpen = useDeferredValue(true, false);
  return (
    <SheetPaper job={job} station={id} slip={Slip && <Slip {...props} />}>
      {isOpen && <Contents {...props} />}
    </SheetPaper>
  );
}

/** The checks, what the station has on the sheet, and the figures. */
function Contents(props: StationProps) {
  const { job, blank, drawing, rules } = useDesk();
  const { Sheet, decides, inspects } = useJob((s) => s.station);
  const unit = job.unit;
  const inked = inkMost(drawing);
  // What is decided here comes before what only follows.
  const parts = [...GROUPS].sort((a, b) => Number(b.group in decides) - Number(a.group in decides));
  return (
    <>
      {!inspects && <Checks />}
      {Sheet && <Sheet />}
      {parts.map(({ group, title }) => {
        const lines = blank.figures.filter((f) => f.group === group);
        const Decisions = decides[group];
        if (lines.length === 0 && !Decisions) return null;
        return (
          <section key={group} aria-label={title}>
            <Heading>{title}</Heading>
            {Decisions && (
              <Box sx={{ px: 2.5, pt: 0.5, pb: 1.25 }}>
                <Decisions {...props} />
              </Box>
            )}
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
