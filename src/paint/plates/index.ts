export { readPlates, pixelsOf, type Plates, type PlateSource, type PlateView } from './read-plates';
export type { InkPixels } from './picture-rows';
export { packInks, unpackInks } from './packed';
export { seenPlates, type InkLook, type Seeing } from './seen';
export { coverageOf, differences, mostInk } from './measures';
