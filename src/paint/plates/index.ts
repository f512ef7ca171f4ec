export { readPlates, pixelsOf, type Plates, type PlateSource, type PlateView } from './read-plates';
export { plateNames } from './inks';
export type { InkPixels } from './picture-rows';
