'use client';
import { useMemo } from 'react';
import { itemsOf, leavesOf, type PictureItem } from '@/core/drawing';
import type { Rules } from '@/core/rules';
import type { SvgContext } from '@/paint/svg';
import { Items } from '../view/Artwork';
import type { Projection } from '../view/bench-view';
import { useDesk } from '../open-job/use-desk';

/** Where the map of a picture is found, in figures. */
export function gamutAddress({ picture, adjust }: PictureItem, profile: Rules['conversion']): string {
  const query = new URLSearchParams({ profile, ...(adjust && { adjust: JSON.stringify(adjust) }) });
  return `/api/assets/${picture}/gamut?${query.toString()}`;
}

/** The pictures of a side, each once for what is done to its colours. */
export function usePictures(): readonly PictureItem[] {
  const { drawing } = useDesk();
  return useMemo(() => {
    const found = new Map<string, PictureItem>();
    for (const leaf of leavesOf(itemsOf(drawing)))
      if (leaf.kind === 'picture' && !leaf.blur) found.set(JSON.stringify([leaf.picture, leaf.adjust]), leaf);
    return [...found.values()];
  }, [drawing]);
}

/** What of its pictures this paper cannot show, laid over them: amber to red. */
export function GamutPicture({ at, context }: { readonly at: Projection; readonly context: SvgContext }) {
  const { drawing, rules } = useDesk();
  const items = useMemo(
    () => leavesOf(itemsOf(drawing)).filter((leaf) => leaf.kind === 'picture' && !leaf.blur && !leaf.flat),
    [drawing],
  );
  const over = useMemo(
    (): SvgContext => ({ ...context, picture: (item) => `${gamutAddress(item, rules.conversion)}&as=png` }),
    [context, rules.conversion],
  );
  return (
    <g pointerEvents="none" aria-hidden transform={`translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`} data-gamut>
      <Items items={items} context={over} />
    </g>
  );
}
