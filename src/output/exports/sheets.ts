import { defineExport } from './define';

export const sheets = defineExport({
  kind: 'sheets',
  label: 'Press sheets',
  about: 'PDF/X-4, several up or in signatures, and how to cut them',
  make: async ({ job, assets, guest, desk, at, progress }) => {
    const { pressSheetFiles } = await import('../press-sheets');
    const { openDesk } = await import('../desk');
    const guests = [];
    for (const asked of job.output.sheet?.guests ?? [])
      guests.push({ desk: await openDesk(await guest(asked), assets), quantity: asked.quantity });
    return pressSheetFiles(await desk(), at, progress, guests);
  },
});
