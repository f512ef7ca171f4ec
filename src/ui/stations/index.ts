import { brief } from './brief';
import { finish } from './finish';
import { inspect } from './inspect';
import { layOut } from './lay-out';
import { output } from './output';
import { record } from './record';
import { size } from './size';
import type { Station } from '../open-job/station';

/** The stations of the work, in their order: the header, the palette and the keys take them from here. */
export const STATIONS: readonly Station[] = [brief, size, layOut, finish, inspect, output, record];
