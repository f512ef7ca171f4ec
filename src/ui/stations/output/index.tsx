import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const output = defineStation({
  id: 'output',
  title: 'Output',
  shows: ['press-sheet', 'finish'],
  Sheet: fetched(() => import('./Files').then((m) => m.Files)),
  decides: {
    'on the sheet': fetched(() => import('./SheetFields').then((m) => m.SheetFields)),
    'picture and ink': fetched(() => import('./InkFields').then((m) => m.InkFields)),
  },
});
