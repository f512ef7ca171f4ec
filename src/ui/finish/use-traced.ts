'use client';
import { useQuery } from '@tanstack/react-query';
import { pictureAsset, type Element, type Job } from '@/core/job';
import { api, wordsOf } from '../shell/api';
import { TRACE_WORDS } from './words';

/** The shapes that stand out in a picture, as the server finds them. */
export function useTraced(job: Job, element: Element | undefined) {
  const sha = element?.kind === 'picture' && element.picture !== null ? element.picture : undefined;
  const by = sha !== undefined && pictureAsset(job.assets, sha)?.alpha ? 'clear' : 'ground';
  const threshold = TRACE_WORDS[by].from;
  const { data, error } = useQuery({
    queryKey: ['shapes', sha, by, threshold],
    queryFn: () => api.shapes(sha ?? '', by, threshold),
    enabled: sha !== undefined,
    retry: false,
  });
  const problem = error
    ? wordsOf(error)
    : data?.count === 0
      ? 'No shape stands out in this picture. Draw one over it and coat that.'
      : undefined;
  const source =
    element && data && data.count > 0
      ? ({ from: 'picture', element: element.id, by, threshold, shapes: data.shapes } as const)
      : undefined;
  return { isPicture: sha !== undefined, source, problem };
}
