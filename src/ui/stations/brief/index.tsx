import { defineStation } from '../../open-job/station';
import { fetched } from '../../shell/fetched';

export const brief = defineStation({
  id: 'brief',
  title: 'Brief',
  Page: fetched(() => import('./BriefForm').then((m) => m.BriefForm)),
});
