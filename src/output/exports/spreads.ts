import { defineExport } from './define';

export const spreads = defineExport({
  kind: 'spreads',
  label: 'Spreads',
  about: 'PDF for a desk printer: a booklet two pages to a side, and what to do',
  needs: 'pages',
  make: async ({ desk, at, progress }) => {
    const { spreadsFile } = await import('../spreads');
    return [await spreadsFile(await desk(), at, progress)];
  },
});
