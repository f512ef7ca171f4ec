import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { JobSummary } from '@/core/job';
import { thumbnailAddress } from '../open-job/addresses';
import { call } from '../shell/api';

/** Where the picture of a job lies, and why it is not there: an image does not say that itself. */
export function useThumbnail({ id, head }: Pick<JobSummary, 'id' | 'head'>) {
  const [tries, setTries] = useState(0);
  const [failed, setFailed] = useState<string>();
  const address = thumbnailAddress(id, head);
  const src = tries === 0 ? address : `${address}&again=1&try=${tries}`;
  const { error } = useQuery({
    queryKey: ['undrawn', src],
    queryFn: () => call<unknown>(address),
    enabled: failed === src,
    staleTime: Infinity,
    retry: false,
  });
  return {
    src,
    onError: () => setFailed(src),
    /** Null while it is there, or not known yet. */
    error: failed === src ? error : null,
    again: () => setTries((n) => n + 1),
  };
}
