import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const output = defineStation({
  id: 'output',
  title: 'Output',
  shows: ['press-sheet', 'imposed', 'finish'],
  Sheet: fetched(() => import('./OutputSheet').then((m) => m.OutputSheet)),
  decides: {
    'on the sheet': fetched(() => import('./SheetFields').then((m) => m.SheetFields)),
    'picture and ink': fetched(() => import('./InkFields').then((m) => m.InkFields)),
  },
});
