import type { Stage } from '@/core/job';

/** What stands above the jobs of a stage. */
export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  brief: 'Briefed',
  'in work': 'In work',
  checked: 'Checked',
  sent: 'Sent',
  template: 'Templates',
};
