import { startJob, formatOf } from '../core/format';
import type { Job } from '../core/job';

/** Jobs that the society has only begun: a size and a brief, nothing laid out yet. */
export function begun(): readonly Job[] {
  const format = formatOf('flyer');
  if (!format) return [];
  const begin = (id: string, name: string, size: string, unit: 'mm' | 'in', more: Partial<Job>): Job[] => {
    const started = startJob(format, { size }, { id, name, unit });
    return started.ok ? [{ ...started.job, client: 'Quillrook Dark-Sky Society', ...more }] : [];
  };
  return [
    ...begin('demo-open-day', 'Observatory open day', 'A6', 'mm', {
      due: '2027-01-20',
      quantity: 5000,
      stage: 'brief',
    }),
    ...begin('demo-winter-talks', 'Winter talks handbill', 'half letter', 'in', {
      due: '2027-02-05',
      quantity: 800,
      stage: 'brief',
    }),
  ];
}
