import { defineExport } from './define';

export const die = defineExport({
  kind: 'die',
  label: 'Die lines',
  about: 'PDF, SVG and DXF at true size, a layer for each process',
  needs: 'lines',
  make: async ({ desk, at, progress }) => {
    const { dieFiles } = await import('../die');
    return dieFiles(await desk(), at, progress);
  },
});
