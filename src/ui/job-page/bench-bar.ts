import { BAR_HEIGHT } from '../view/bench-view';

/** Above the bench, in one row; on a phone it is drawn along. */
export const BENCH_BAR = {
  display: 'flex',
  gap: 2,
  alignItems: 'center',
  px: 2,
  pt: 1.25,
  height: BAR_HEIGHT,
  flex: 'none',
  overflowX: { xs: 'auto', sm: 'visible' },
  scrollbarWidth: 'none',
} as const;
