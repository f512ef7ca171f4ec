'use client';
import { useEffect, useMemo, useState } from 'react';
import type { Job } from '@/core/job';
import { recordSet, type RecordSet, type Rows } from '@/core/records';

const files = new Map<string, Promise<Rows>>();

async function load(sha: string): Promise<Rows> {
  const response = await fetch(`/api/assets/${sha}/rows`);
  if (!response.ok) throw new Error('The rows of the records could not be loaded.');
  return ((await response.json()) as { rows: Rows }).rows;
}

/** The rows of a file, fetched once. A failure is not remembered: whoever asks next tries again. */
function rowsOf(sha: string): Promise<Rows> {
  const loading = files.get(sha) ?? load(sha);
  files.set(sha, loading);
  loading.catch(() => files.delete(sha));
  return loading;
}

/** The records of a job; undefined while their file is on its way, and where all copies are alike. */
export function useRecordSet({ records }: Pick<Job, 'records'>): RecordSet | undefined {
  const [rows, setRows] = useState<{ readonly sha: string; readonly rows: Rows }>();
  const sha = records?.from === 'file' ? records.file : undefined;
  useEffect(() => {
    if (sha === undefined) return;
    let current = true;
    // A file that is gone is told by the check of it; the names of its columns are seen meanwhile.
    void rowsOf(sha).then(
      (found) => current && setRows({ sha, rows: found }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [sha]);
  return useMemo(
    () => recordSet({ records }, (asked) => (rows?.sha === asked ? rows.rows : undefined)),
    [records, rows],
  );
}
