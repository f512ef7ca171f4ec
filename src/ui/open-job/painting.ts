import { useMemo } from 'react';
import type { Rules } from '@/core/rules';
import type { SvgContext } from '@/paint/svg';
import type { Resources } from '@/core/compose';
import { pageAddress, pictureAddress } from './addresses';

/** What drawing a job on the screen needs: its fonts, its colours, and pictures as its paper will show them. */
export const paintingOf = ({ fonts, colour }: Resources, profile: Rules['conversion']): SvgContext => ({
  fonts,
  colour,
  picture: ({ picture, adjust }) => pictureAddress(picture, profile, adjust),
  page: pageAddress,
});

/** The same, held while nothing of it changes. */
export const usePainting = (resources: Resources, profile: Rules['conversion']): SvgContext =>
  useMemo(() => paintingOf(resources, profile), [resources, profile]);
