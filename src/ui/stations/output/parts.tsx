import type { StationParts } from '../station-parts';
import { OutputSlip } from './OutputSlip';

export const outputParts: StationParts = { Slip: OutputSlip };
