'use client';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useJob, useJobStore } from '../../open-job/context';
import { exportsKey } from '../../open-job/use-exports';
import { whenSaved } from '../../open-job/when-saved';
import { api, wordsOf } from '../../shell/api';
import { useSay } from '../../shell/Messages';

/**
 * Has files made of the job, once it is kept; they come among the files made.
 * @param revision of which state; left out, the one that is kept then
 */
export function useMake(kind: string, revision?: number) {
  const id = useJob((s) => s.job.id);
  const store = useJobStore();
  const client = useQueryClient();
  const say = useSay();
  return useMutation({
    mutationFn: async () => {
      await whenSaved(store);
      return api.exportJob(id, kind, revision);
    },
    onSuccess: () => client.invalidateQueries({ queryKey: exportsKey(id) }),
    onError: (failed) => say({ tone: 'problem', text: wordsOf(failed) }),
  });
}
