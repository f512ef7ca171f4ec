import { writeDay } from '@/core/dates';
import { counted } from '@/core/measure';
import type { Plan } from '@/core/schedule';
import { dayWords } from '../shell/moments';

/** When a job that is late comes, and by how much. */
export const lateWords = ({ delivered, late }: Plan): string =>
  `comes ${dayWords(writeDay(delivered))}, ${counted(late, 'working day')} late`;

/** How a plan stands, in a line. */
export function planWords(plan: Plan): string {
  const { state, slack, delivered } = plan;
  const comes = `Comes ${dayWords(writeDay(delivered))}`;
  if (plan.late > 0) return `${comes}, ${counted(plan.late, 'working day')} late.`;
  switch (state) {
    case 'late':
      return `${comes} only where it takes less than is usual: ${counted(-slack, 'working day')} are missing.`;
    case 'tight':
      return slack === 0 ? `${comes}, in time; nothing can be lost.` : `${comes}, in time; a working day to spare.`;
    case 'good':
      return slack > 0 ? `${comes}, in time; ${counted(slack, 'working day')} to spare.` : `${comes}, in time.`;
  }
}
