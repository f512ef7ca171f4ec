import { defineMode } from '../mode';

export const size = defineMode({
  title: 'Size',
  takes: 'edit',
  shows: ['line-code', 'drawn-lines', 'panel-names', 'chains', 'selection', 'handles'],
  folds: true,
});
