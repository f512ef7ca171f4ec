import { weekdayOf, type Day } from '@/core/dates';
import type { Plan, PlannedStep } from '@/core/schedule';
import { COLOURS } from '../../shell/theme';

/** px */
const [WIDE, HIGH, BAR] = [122, 26, 9];

/** Days that are seen before the first step, at most. */
const BEFORE = 4;

interface Props {
  readonly plan: Plan;
  readonly step: PlannedStep;
  readonly today: Day;
}

/** Where a step lies between the first and the last day of a plan; weekends are paler, due date and today are lines. */
export function Timeline({ plan, step, today }: Props) {
  const begins = Math.min(...plan.steps.map(({ from }) => from));
  const first = Math.max(Math.min(today, begins), begins - BEFORE);
  const last = Math.max(plan.due, plan.delivered);
  const days = last - first + 1;
  const at = (day: Day) => ((day - first) / days) * WIDE;
  const wide = WIDE / days;
  const weekends = Array.from({ length: days }, (_, i) => first + i).filter((day) => weekdayOf(day) > 5);
  const isLate = step.to > plan.due;
  return (
    <svg width={WIDE} height={HIGH} viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden style={{ display: 'block' }}>
      {weekends.map((day) => (
        <rect key={day} x={at(day)} y={0} width={wide} height={HIGH} fill={COLOURS.line} opacity={0.35} />
      ))}
      {today >= first && (
        <line x1={at(today)} x2={at(today)} y1={0} y2={HIGH} stroke={COLOURS.ink} strokeDasharray="2 2" />
      )}
      <line x1={at(plan.due + 1)} x2={at(plan.due + 1)} y1={0} y2={HIGH} stroke={COLOURS.ink} strokeWidth={2} />
      <rect
        x={at(step.from)}
        y={(HIGH - BAR) / 2}
        width={Math.max(2, at(step.to + 1) - at(step.from))}
        height={BAR}
        fill={step.state === 'done' ? COLOURS.line : isLate ? COLOURS.warning : COLOURS.sheet}
        stroke={COLOURS.ink}
        strokeDasharray={step.days === 0 ? '2 1' : undefined}
      />
    </svg>
  );
}
