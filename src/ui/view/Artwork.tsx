'use client';
import { memo, useId } from 'react';
import type { Item } from '@/core/drawing';
import { svgItems, type SvgContext } from '@/paint/svg';

/** From so many items on each has a node of its own. */
const MANY = 12;

/**
 * Items as the SVG reader draws them. The string holds numbers, hashes and escaped addresses only. What is drawn by
 * reference has ids of its own in each, since all stand in one document.
 */
export const Items = memo(function Items({
  items,
  context,
  id,
}: {
  items: readonly Item[];
  context: SvgContext;
  id?: string;
}) {
  const scope = `d${useId().replace(/\W/g, '')}-`;
  // Of a long text only the lines that differ are put into the document again.
  if (items.length > MANY)
    return (
      <g data-element={id}>
        {items.map((item, i) => (
          <g key={i} dangerouslySetInnerHTML={{ __html: svgItems([item], context, `${scope}${i}-`) }} />
        ))}
      </g>
    );
  return <g data-element={id} dangerouslySetInnerHTML={{ __html: svgItems(items, context, scope) }} />;
});
