'use client';
import { useDeferredValue, type ReactNode } from 'react';
import type { Figure } from '@/core/figure';
import { itemsOf, leavesOf } from '@/core/drawing';
import { totalLaid } from '@/core/colour';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Checks } from './Checks';
import { Heading } from '../shell/Heading';
import { SheetLine } from './SheetLine';
import { SheetPaper } from './SheetPaper';

const GROUPS: readonly { readonly group: Figure['group']; readonly title: string }[] = [
  { group: 'size', title: 'Size' },
  { group: 'panels', title: 'Parts' },
  { group: 'grid', title: 'Grid' },
  { group: 'on the sheet', title: 'On the press sheet' },
  { group: 'picture and ink', title: 'Picture and ink' },
  { group: 'output', title: 'Press' },
];

interface Props {
  /** What the station has on the sheet, between the checks and the figures. */
  readonly children: ReactNode;
  /** The slip that is clipped onto it. */
  readonly slip?: ReactNode;
}

/** The job’s facts in the order of the work, each with its working. */
export function YellowSheet({ children, slip }: Props) {
  const { job } = useDesk();
  const station = useJob((s) => s.station);
  // When a job opens, the bench comes first and the figures the moment after.
  const isOpen = useDeferredValue(true, false);
  return (
    <SheetPaper job={job} station={station.id} slip={slip}>
      {isOpen && <Contents>{children}</Contents>}
    </SheetPaper>
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
