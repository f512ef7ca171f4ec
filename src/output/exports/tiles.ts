import { defineExport } from './define';

export const tiles = defineExport({
  kind: 'tiles',
  label: 'Tiles',
  about: 'PDF for a desk printer: a large piece in parts, to be cut and glued',
  make: async ({ desk, at, progress }) => {
    const { tilesFile } = await import('../tiles');
    return [await tilesFile(await desk(), at, progress)];
  },
});
