import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const inspect = defineStation({
  id: 'inspect',
  title: 'Inspect',
  shows: ['line-code', 'drawn-lines', 'findings', 'selection'],
  trims: true,
  inspects: true,
  Slip: fetched(() => import('./InspectSlip').then((m) => m.InspectSlip)),
});
