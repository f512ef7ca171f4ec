import { defineMode } from '../mode';

/** Drawn lines are shown in the colours of their plates. */
export const finish = defineMode({
  title: 'Finish',
  takes: 'select',
  shows: ['plates', 'finish', 'gamut', 'unprinted', 'line-code', 'selection'],
  steps: true,
});
