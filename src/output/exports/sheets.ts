import { defineExport } from './define';

export const sheets = defineExport({
  kind: 'sheets',
  label: 'Press sheets',
  about: 'PDF/X-4, several up or in signatures, and how to cut them',
  make: async ({ desk, at, progress }) => {
    const { pressSheetFiles } = await import('../press-sheets');
    return pressSheetFiles(await desk(), at, progress);
  },
});
