import { defineStation } from '../../open-job/station';
import { OutputSlip } from './OutputSlip';

export const output = defineStation({
  id: 'output',
  title: 'Output',
  shows: ['press-sheet', 'finish'],
  Slip: OutputSlip,
});
