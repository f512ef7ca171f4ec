import type { PrintableGroup } from '@/core/printable';

export const PRINTABLE_WORDS: Readonly<Record<PrintableGroup, string>> = {
  rulings: 'Rulings',
  grids: 'Grids',
  lists: 'Lists and fields',
  planners: 'Planners',
  calendars: 'Calendars',
  handwriting: 'Handwriting and counting',
  forms: 'Forms',
};
