import { defineMode } from '../mode';

export const inspect = defineMode({
  title: 'Inspect',
  shows: ['line-code', 'drawn-lines', 'findings', 'selection'],
  trims: true,
  countsFindings: true,
});
