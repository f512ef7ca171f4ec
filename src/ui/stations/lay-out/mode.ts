import { defineMode } from '../mode';

export const layOut = defineMode({
  title: 'Lay out',
  takes: 'edit',
  shows: [
    'unprinted',
    'line-code',
    'drawn-lines',
    'baselines',
    'empty-frames',
    'slots',
    'cells',
    'selection',
    'handles',
    'gradients',
  ],
  opens: true,
  steps: true,
  hasStrip: true,
});
