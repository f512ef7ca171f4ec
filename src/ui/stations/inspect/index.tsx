import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const inspect = defineStation({
  id: 'inspect',
  title: 'Inspect',
  shows: ['line-code', 'drawn-lines', 'findings', 'selection'],
  trims: true,
  inspects: true,
  Bar: fetched(() => import('./LookAt').then((m) => m.LookAt)),
  Sheet: fetched(() => import('./Findings').then((m) => m.Findings)),
});
