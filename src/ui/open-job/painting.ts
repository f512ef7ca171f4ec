import { useMemo } from 'react';
import type { Rules } from '@/core/rules';
import type { SvgContext } from '@/paint/svg';
import type { Resources } from '@/core/compose';

/** What drawing a job on the screen needs: its fonts, its colours, and pictures as its paper will show them. */
export const paintingOf = ({ fonts, colour }: Resources, profile: Rules['conversion']): SvgContext => ({
  fonts,
  colour,
  picture: ({ picture, adjust }) => {
    const query = new URLSearchParams({ profile, ...(adjust && { adjust: JSON.stringify(adjust) }) });
    return `/api/assets/${picture}/bench?${query.toString()}`;
  },
  page: ({ document, page }) => `/api/assets/${document}/page/${page}`,
});

/** The same, held while nothing of it changes. */
export const usePainting = (resources: Resources, profile: Rules['conversion']): SvgContext =>
  useMemo(() => paintingOf(resources, profile), [resources, profile]);
