import { defineExport } from './define';

export const dummy = defineExport({
  kind: 'dummy',
  label: 'Folding dummy',
  about: 'PDF 1:1 with panel names and fold directions, for a desk printer',
  needs: 'lines or folds',
  isCarried: true,
  make: async ({ desk, at, progress }) => {
    const { dummyFile } = await import('../dummy');
    return [await dummyFile(await desk(), at, progress)];
  },
});
