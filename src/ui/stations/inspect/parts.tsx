import type { StationParts } from '../station-parts';
import { InspectSlip } from './InspectSlip';

export const inspectParts: StationParts = { Slip: InspectSlip };
