import type { Drawing } from '@/core/drawing';
import type { Point } from '@/core/layout';
import { useJob, useJobStore } from '../open-job/context';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { pickedAt } from './pick';

interface Pressed {
  readonly clientX: number;
  readonly clientY: number;
  readonly stopPropagation: () => void;
}

/** A colour taken from the bench, for whoever asked for one. */
export function usePick(drawing: Drawing, toMm: (event: Pressed) => Point) {
  const store = useJobStore();
  const say = useSay();
  const picking = useJob((s) => s.picking);
  const onPick = (event: Pressed) => {
    event.stopPropagation();
    const found = pickedAt(drawing, toMm(event));
    store.getState().pick(undefined);
    if (!picking) return;
    if (!found) say({ tone: 'problem', text: 'There is nothing but paper there.' });
    else if (found.kind === 'paint') picking(found.paint);
    else
      api
        .pixel(found.picture, found.x, found.y)
        .then(({ colours: [rgb] }) => rgb && picking({ kind: 'rgb', ...rgb }))
        .catch((error: unknown) => say({ tone: 'problem', text: wordsOf(error) }));
  };
  return { isPicking: picking !== undefined, onPick };
}
