import type { CoatSource } from '@/core/job';
import type { Process } from '@/core/shop';

export const PROCESS_WORDS: Readonly<Record<Process, string>> = {
  cut: 'Cut',
  'kiss-cut': 'Kiss-cut',
  fold: 'Fold',
  score: 'Score',
  perforation: 'Perforation',
  drill: 'Drill',
  glue: 'Glue',
};

type By = Extract<CoatSource, { from: 'picture' }>['by'];

/** How shapes are told in a picture, and from where on. */
export const TRACE_WORDS: Readonly<Record<By, { readonly label: string; readonly from: number }>> = {
  ground: { label: 'not the colour of its corners', from: 12 },
  clear: { label: 'not clear', from: 50 },
  dark: { label: 'dark', from: 50 },
  light: { label: 'light', from: 50 },
};
