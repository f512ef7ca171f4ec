import { defineStation, type Station } from '../open-job/station';
import { fetched } from '../shell/fetched';

const PIECE = defineStation({
  id: 'piece',
  title: 'Piece',
  takes: 'select',
  shows: ['pile', 'line-code', 'drawn-lines', 'selection'],
  steps: true,
  trims: true,
  folds: true,
  // What stands in its way is what is looked for.
  inspects: true,
  Bar: fetched(() => import('../stations/inspect/LookAt').then((m) => m.LookAt)),
  Sheet: fetched(() => import('./RoundSheet').then((m) => m.RoundSheet)),
});

const PLATES = defineStation({
  id: 'plates',
  title: 'Plates',
  takes: 'select',
  shows: ['plates', 'finish', 'unprinted', 'line-code', 'selection'],
  steps: true,
  inspects: true,
  Bar: fetched(() => import('../finish/SeeToggle').then((m) => m.SeeToggle)),
  Sheet: fetched(() => import('./RoundSheet').then((m) => m.PlatesSheet)),
});

/** How a spoilt piece is looked at. */
export const ROUND_STATIONS: readonly Station[] = [PIECE, PLATES];
