import type { StationParts } from '../station-parts';
import { BriefForm } from './BriefForm';

export const briefParts: StationParts = { Page: BriefForm };
