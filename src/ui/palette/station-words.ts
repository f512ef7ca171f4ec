import type { Station } from '../job/store';

export const STATION_WORDS: Readonly<Record<Station, string>> = {
  brief: 'Brief',
  size: 'Size',
  'lay-out': 'Lay out',
  finish: 'Finish',
  inspect: 'Inspect',
  output: 'Output',
};
