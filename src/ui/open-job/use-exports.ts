'use client';
import { useQuery } from '@tanstack/react-query';
import { api, type ExportFacts } from '../shell/api';
import { useJob } from './context';

/** Whether an export is still waited for. */
export const isOpen = ({ state }: ExportFacts): boolean => state === 'waiting' || state === 'running';

/** Under which the exports of a job are kept in the page. */
export const exportsKey = (job: string) => ['exports', job] as const;

/** What the open job can be made into, and what was made of it; looked at again while something is being made. */
export function useExports() {
  const id = useJob((s) => s.job.id);
  return useQuery({
    queryKey: exportsKey(id),
    queryFn: () => api.exports(id),
    refetchInterval: (query) => (query.state.data?.exports.some(isOpen) ? 300 : false),
  });
}
