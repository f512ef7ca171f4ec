import { fetched } from '../../shell/fetched';
import { defineStation } from '../../open-job/station';
import { ProposedSlip } from '../../slip/ProposedSlip';

export const size = defineStation({
  id: 'size',
  title: 'Size',
  takes: 'edit',
  shows: ['line-code', 'drawn-lines', 'panel-names', 'chains', 'selection', 'handles'],
  folds: true,
  Slip: ProposedSlip,
  decides: {
    size: fetched(() => import('../../size/SizeFields').then((m) => m.SizeFields)),
    grid: fetched(() => import('../../size/GridFields').then((m) => m.GridFields)),
  },
});
