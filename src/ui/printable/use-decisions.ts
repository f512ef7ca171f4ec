import { type PrintableContent, type PrintableElement } from '@/core/job';
import { changePiece, withDecisions } from '@/core/edit';
import { useJob } from '../open-job/context';

/** Changes decisions of a printable as one step, for all pages that show it. */
export function useDecisions(element: PrintableElement) {
  const side = useJob((s) => s.side);
  const change = useJob((s) => s.change);
  return (label: string, recipe: (content: PrintableContent) => PrintableContent) =>
    change(label, (now) => changePiece(now, (piece) => withDecisions(piece, side, element.id, recipe)));
}
