import type { Station } from '../job/store';
import { briefParts } from './brief/parts';
import { finishParts } from './finish/parts';
import { inspectParts } from './inspect/parts';
import { layOutParts } from './lay-out/parts';
import { outputParts } from './output/parts';
import { sizeParts } from './size/parts';
import type { StationParts } from './station-parts';

/** What each station puts on the page. */
export const PARTS: Readonly<Record<Station, StationParts>> = {
  brief: briefParts,
  size: sizeParts,
  'lay-out': layOutParts,
  finish: finishParts,
  inspect: inspectParts,
  output: outputParts,
};
