import { defineExport } from './define';

export const desk = defineExport({
  kind: 'desk',
  label: 'Desk sheets',
  about: 'PDF for a desk printer, several up with marks to cut by',
  make: async ({ desk: opened, at, progress }) => {
    const { deskSheetFile } = await import('../desk-sheet');
    return [await deskSheetFile(await opened(), at, progress)];
  },
});
