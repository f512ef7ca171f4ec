import { defineStation } from '../../open-job/station';
import { BriefForm } from './BriefForm';

export const brief = defineStation({
  id: 'brief',
  title: 'Brief',
  Page: BriefForm,
});
