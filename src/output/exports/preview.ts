import { defineExport } from './define';

export const preview = defineExport({
  kind: 'preview',
  label: 'Preview',
  about: 'PDF and PNG, cut to the trim',
  make: async ({ desk, at, progress }) => {
    const { previewFiles } = await import('../preview');
    return previewFiles(await desk(), at, progress);
  },
});
