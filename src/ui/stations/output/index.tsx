import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const output = defineStation({
  id: 'output',
  title: 'Output',
  shows: ['press-sheet', 'finish'],
  Slip: fetched(() => import('./OutputSlip').then((m) => m.OutputSlip)),
});
