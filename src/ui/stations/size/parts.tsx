import { SizeSlip } from '../../size/SizeSlip';
import type { StationParts } from '../station-parts';

export const sizeParts: StationParts = { Slip: SizeSlip };
