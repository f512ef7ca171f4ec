import { defineExport } from './define';

export const schedule = defineExport({
  kind: 'schedule',
  label: 'Schedule',
  about: 'Its days as a calendar (iCalendar), for any program that keeps one',
  isCarried: true,
  make: async ({ job, at, progress }) => {
    const { calendarFile } = await import('../calendar');
    const file = calendarFile(job, at);
    progress(1, 'Done');
    return [file];
  },
});
