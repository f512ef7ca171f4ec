import { defineStation } from '../../open-job/station';
import { InspectSlip } from './InspectSlip';

export const inspect = defineStation({
  id: 'inspect',
  title: 'Inspect',
  shows: ['line-code', 'drawn-lines', 'findings', 'selection'],
  trims: true,
  inspects: true,
  Slip: InspectSlip,
});
