'use client';
import { memo } from 'react';
import type { Item } from '@/core/drawing';
import { svgItems, type SvgContext } from '@/paint/svg';

/** Items as the SVG reader draws them. The string holds numbers, hashes and escaped addresses only. */
export const Items = memo(function Items({
  items,
  context,
  id,
}: {
  items: readonly Item[];
  context: SvgContext;
  id?: string;
}) {
  return <g data-element={id} dangerouslySetInnerHTML={{ __html: svgItems(items, context) }} />;
});
