'use client';
import type { ElementOf } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { useChange } from './use-change';

/** Whether an edge on the trim runs out to the bleed. */
export function AtTrim({ element }: { readonly element: ElementOf<'shape' | 'picture' | 'printable'> }) {
  const change = useChange(element);
  return (
    <CheckField
      label="bleeds at the trim"
      checked={element.atTrim === 'bleeds'}
      onChange={(bleeds) => {
        const atTrim = bleeds ? ('bleeds' as const) : ('stops' as const);
        change('At the trim', (el) =>
          el.kind === 'shape' || el.kind === 'picture' || el.kind === 'printable' ? { ...el, atTrim } : el,
        );
      }}
    />
  );
}
