import type { Element } from '@/core/job';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';
import { withElements } from '@/core/edit';

/** Changes an element as one step. */
export function useChange(element: Element) {
  const replace = useJob((s) => s.replace);
  const side = useJob((s) => s.side);
  const { job } = useDesk();
  return (label: string, change: (el: Element) => Element) =>
    replace(
      label,
      withElements(job, side, (el) => (el.id === element.id ? change(el) : el)),
    );
}
