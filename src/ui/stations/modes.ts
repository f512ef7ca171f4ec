import type { Station } from '../job/store';
import { brief } from './brief/mode';
import { finish } from './finish/mode';
import { inspect } from './inspect/mode';
import { layOut } from './lay-out/mode';
import type { StationMode } from './mode';
import { output } from './output/mode';
import { size } from './size/mode';

/** What the bench, the palette and the header know of each station. */
export const MODES: Readonly<Record<Station, StationMode>> = {
  brief,
  size,
  'lay-out': layOut,
  finish,
  inspect,
  output,
};
