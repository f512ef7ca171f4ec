import { defineExport } from './define';

export const flat = defineExport({
  kind: 'press-x1a',
  label: 'Press PDF/X-1a',
  about: 'for houses that ask for it: nothing in it is mixed',
  make: async ({ desk, at, progress }) => {
    const { flatFile } = await import('../flat');
    return [await flatFile(await desk(), at, progress)];
  },
});
