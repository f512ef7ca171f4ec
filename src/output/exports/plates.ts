import { defineExport } from './define';
import type { OutputFile } from '../file';

/** Pixels to the inch: what a screen shows sharply and a film of coarse screens needs [cp]. */
const PPI = 300;

export const plates = defineExport({
  kind: 'plates',
  label: 'Plates',
  about: `a grey PNG of each, ${PPI} ppi, black for full ink`,
  make: async ({ job, desk: opened, progress }) => {
    const { platePictures } = await import('../plate-pictures');
    const { sideStems } = await import('../file-name');
    const desk = await opened();
    const stems = sideStems(job, desk.sides);
    const files: OutputFile[] = [];
    for (const [i, side] of desk.sides.entries()) {
      progress(i / desk.sides.length, `Plates of the ${side.surface.name}`);
      const { pictures } = await platePictures(desk, side, PPI);
      for (const [n, { stem, png }] of pictures.entries())
        files.push({ name: `${stems[i] ?? 'side'}-${n + 1}-${stem}.png`, type: 'image/png', bytes: png });
    }
    return files;
  },
});
