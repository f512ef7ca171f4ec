'use client';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shell/api';
import { useJob } from './context';

/** The versions that are kept beside the job, because another save came before them; newest first. */
export function useBeside() {
  const id = useJob((s) => s.job.id);
  const { data, refetch } = useQuery({ queryKey: ['beside', id], queryFn: () => api.beside(id) });
  return { versions: data?.versions ?? [], refetch };
}
