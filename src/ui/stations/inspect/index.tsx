import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const inspect = defineStation({
  id: 'inspect',
  title: 'Inspect',
  shows: ['pile', 'line-code', 'drawn-lines', 'findings', 'selection'],
  trims: true,
  inspects: true,
  Bar: fetched(() => import('./LookAt').then((m) => m.LookAt)),
  Sheet: fetched(() => import('./InspectSheet').then((m) => m.InspectSheet)),
});
