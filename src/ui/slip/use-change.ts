import type { Element } from '@/core/job';
import { useJob } from '../open-job/context';
import { withElements } from '@/core/edit';

/** Changes an element as one step. */
export function useChange(element: Element) {
  const change = useJob((s) => s.change);
  const side = useJob((s) => s.side);
  return (label: string, recipe: (el: Element) => Element) =>
    change(label, (now) => withElements(now, side, (el) => (el.id === element.id ? recipe(el) : el)));
}
