import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

/** Drawn lines are shown in the colours of their plates. */
export const finish = defineStation({
  id: 'finish',
  title: 'Finish',
  takes: 'select',
  shows: ['plates', 'finish', 'gamut', 'unprinted', 'line-code', 'selection'],
  steps: true,
  Bar: fetched(() => import('../../finish/SeeToggle').then((m) => m.SeeToggle)),
  Sheet: fetched(() => import('./FinishLists').then((m) => m.FinishLists)),
  decides: { 'picture and ink': fetched(() => import('../../finish/OnThisPaper').then((m) => m.OnThisPaper)) },
});
