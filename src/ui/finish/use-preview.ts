'use client';
import { useEffect } from 'react';
import { editFinish } from '@/core/edit';
import type { Finishing } from '@/core/job';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';

/** Shows on the bench what a line or a coating would do, until it is added or left. */
export function usePreview(finishing: Finishing | undefined): void {
  const piece = useDesk().piece.id;
  const side = useJob((s) => s.side);
  const propose = useJob((s) => s.propose);
  // Told apart by what it says: it is made anew with each render.
  const said = finishing && JSON.stringify(finishing);
  useEffect(() => {
    if (said === undefined) return;
    const added = JSON.parse(said) as Finishing;
    propose({
      label: 'Add it',
      recipe: (now) => editFinish(now, piece, side, (list) => [...list, added]),
      lost: [],
      changes: [],
      fails: [],
    });
    return () => propose(undefined);
  }, [said, piece, side, propose]);
}
