import { withDecisions, type PrintableContent, type PrintableElement, withPiece } from '@/core/job';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';

/** Changes decisions of a printable as one step, for all pages that show it. */
export function useDecisions(element: PrintableElement) {
  const { job, piece } = useDesk();
  const side = useJob((s) => s.side);
  const replace = useJob((s) => s.replace);
  return (label: string, change: (content: PrintableContent) => PrintableContent) =>
    replace(label, withPiece(job, withDecisions(piece, side, element.id, change)));
}
