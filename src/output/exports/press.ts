import { defineExport } from './define';

export const press = defineExport({
  kind: 'press',
  label: 'Press PDF',
  about: 'PDF/X-4 with bleed and marks',
  isMain: true,
  make: async ({ desk, at, progress }) => {
    const { pressFile } = await import('../press');
    return [await pressFile(await desk(), at, progress)];
  },
});
