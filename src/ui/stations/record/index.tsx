import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const record = defineStation({
  id: 'record',
  title: 'Record',
  Page: fetched(() => import('./RecordPage').then((m) => m.RecordPage)),
});
