'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { nextVersion } from '@/core/edit';
import { STAGES, begunFrom, type Job, type JobSummary, type Stage } from '@/core/job';
import { api, wordsOf } from '../shell/api';
import { openFile } from '../shell/bring-in';
import { counted } from '@/core/measure';
import { QUEUE } from './Queue';
import { useSay } from '../shell/Messages';
import type { JobActions } from './JobMenu';
import { STAGE_WORDS } from './stages';

/** The jobs of the shop, and what is done with them on the board; each act can be taken back from its message. */
export function useBoard() {
  const jobs = useQuery({ queryKey: ['jobs'], queryFn: api.jobs, refetchOnMount: 'always' });
  const router = useRouter();
  const client = useQueryClient();
  const say = useSay();

  /** Does something, and says why where it cannot be done. */
  const attempt = useCallback(
    async (act: () => Promise<void>) => {
      try {
        await act();
      } catch (problem) {
        say({ tone: 'problem', text: wordsOf(problem) });
      }
    },
    [say],
  );

  const openIt = useCallback(
    (file: File) => void attempt(async () => router.push(`/jobs/${(await openFile(file)).id}`)),
    [attempt, router],
  );

  const onNext = useCallback<JobActions['onNext']>(
    ({ id, stage }) =>
      void attempt(async () => {
        const { job, head } = await api.current(id);
        const isTemplate = stage === 'template';
        const made: Job = isTemplate
          ? begunFrom(job, crypto.randomUUID(), head, job.name)
          : nextVersion(job, crypto.randomUUID(), head);
        const begun = await api.create(made, `${isTemplate ? 'Begun from' : 'Next version of'} ${job.name}`);
        router.push(`/jobs/${begun.id}?at=lay-out`);
      }),
    [attempt, router],
  );

  const onMove = useCallback<JobActions['onMove']>(
    (moved, stage) =>
      void attempt(async () => {
        const refused = await moveTo(moved, stage);
        await client.invalidateQueries({ queryKey: ['jobs'] });
        if (refused.length > 0) {
          say({ tone: 'problem', text: refused.join(' ') });
          return;
        }
        const putBack = () =>
          void attempt(async () => {
            for (const from of STAGES) {
              const stood = moved.filter((job) => job.stage === from);
              if (stood.length > 0) await moveTo(stood, from);
            }
            await client.invalidateQueries({ queryKey: ['jobs'] });
          });
        say({
          tone: 'done',
          text: `${called(moved)} now under ${STAGE_WORDS[stage]}.`,
          action: { label: 'Put back', run: putBack },
        });
      }),
    [attempt, client, say],
  );

  const onRemove = useCallback<JobActions['onRemove']>(
    (removed) =>
      void attempt(async () => {
        for (const { id } of removed) await api.remove(id);
        await client.invalidateQueries({ queryKey: ['jobs'] });
        const putBack = () =>
          void attempt(async () => {
            for (const { id } of removed) await api.putBack(id);
            await client.invalidateQueries({ queryKey: ['jobs'] });
          });
        say({
          tone: 'done',
          text: `${called(removed)} off the board.`,
          action: { label: 'Put back', run: putBack },
        });
      }),
    [attempt, client, say],
  );

  const onMake = useCallback(
    (chosen: readonly JobSummary[]) =>
      void attempt(async () => {
        for (const { id } of chosen) await api.exportJob(id, 'press');
        await client.invalidateQueries({ queryKey: QUEUE });
        say({
          tone: 'done',
          text: `${counted(chosen.length, 'press file')} wait to be made; each job has its own under Output.`,
        });
      }),
    [attempt, client, say],
  );

  return { jobs, openIt, onNext, onMove, onRemove, onMake };
}

/** @returns what could not be moved, in words */
async function moveTo(jobs: readonly JobSummary[], stage: Stage): Promise<readonly string[]> {
  const ids = jobs.map(({ id }) => id);
  const { refused } = await api.changeSeveral(ids, { stage }, `Moved to ${STAGE_WORDS[stage]}`);
  const names = new Map(jobs.map(({ id, name }) => [id, name]));
  return refused.map(({ id, message }) => `“${names.get(id) ?? id}” stays: ${message}`);
}

const called = (jobs: readonly JobSummary[]): string => {
  const [only] = jobs;
  return jobs.length === 1 && only ? `“${only.name}” is` : `${jobs.length} jobs are`;
};
