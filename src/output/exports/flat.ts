import { defineExport } from './define';

export const flat = defineExport({
  kind: 'press-x1a',
  label: 'Flat PDF',
  about: 'PDF/X-1a for houses that ask for it: nothing is mixed',
  make: async ({ desk, at, progress }) => {
    const { flatFile } = await import('../flat');
    return [await flatFile(await desk(), at, progress)];
  },
});
