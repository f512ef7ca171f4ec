import { fetched } from '../../shell/fetched';
import { defineStation } from '../../open-job/station';

export const size = defineStation({
  id: 'size',
  title: 'Size',
  takes: 'edit',
  shows: ['line-code', 'drawn-lines', 'panel-names', 'chains', 'selection', 'handles'],
  folds: true,
  Slip: fetched(() => import('../../size/SizeSlip').then((m) => m.SizeSlip)),
});
