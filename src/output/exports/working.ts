import { defineExport } from './define';

export const working = defineExport({
  kind: 'working',
  label: 'Working file',
  about: 'zip to go on elsewhere',
  isCarried: true,
  make: async ({ job, assets }) => {
    const { workingFile } = await import('../working');
    return [await workingFile(job, assets)];
  },
});
