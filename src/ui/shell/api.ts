import type { Rgb } from '@/core/colour';
import type { AlikeFacts, Job, JobSummary, Kit, Lesson } from '@/core/job';
import type { Finding } from '@/core/check';
import type { JobFacts } from '@/core/edit';
import type { Fault, Learner, Mark, Marked } from '@/core/practice';
import type { PlannedJob } from '@/core/schedule';
import type { SaveAnswer, SaveRequest } from '@/core/save';
import type { House, Stock } from '@/core/shop';
import type { Level } from '@/core/spoil';
import type { Reply } from '@/intake';

/** An answer that says what was wrong and what to do. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly todo: string,
    readonly details: Readonly<Record<string, unknown>>,
  ) {
    super(message);
  }
}

/** The server did not answer at all. */
export class Unreachable extends Error {}

interface ErrorBody {
  readonly error?: { readonly message?: string; readonly todo?: string; readonly details?: Record<string, unknown> };
}

export async function call<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch {
    throw new Unreachable('The server does not answer. What you do is kept here and saved when it is back.');
  }
  return resultOf(response.status, await response.text().catch(() => '')) as T;
}

/** What an answer of the server gives. @throws ApiError when it is a refusal */
export function resultOf(status: number, text: string): unknown {
  const body = jsonOf(text);
  if (status >= 200 && status < 300) return body;
  const { error } = body as ErrorBody;
  throw new ApiError(
    status,
    error?.message ?? 'Something went wrong.',
    error?.todo ?? 'Try again.',
    error?.details ?? {},
  );
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return {};
  }
}

const json = (method: string, value: unknown): RequestInit => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(value),
});

/** Those who practise, and the pieces that can be taken. */
export interface PracticeFacts {
  readonly learners: readonly Learner[];
  readonly pieces: readonly { readonly id: string; readonly name: string; readonly kind: string }[];
}

export interface RoundWish {
  readonly learner: string;
  readonly level: Level;
  readonly faults: number;
  /** Left out, one of those that are there. */
  readonly job?: string;
}

/** A round that was handed in: what was wrong, what was marked, and what came of it. */
export interface RoundResult extends Marked {
  readonly faults: readonly Fault[];
  readonly marks: readonly Mark[];
  /** What it would cost to print it anew. */
  readonly reprint?: { readonly house: string; readonly total: number; readonly currency: string };
}

export interface OpenRound {
  readonly id: string;
  readonly learner: string;
  readonly piece: string;
  readonly level: Level;
  /** How many faults there are. */
  readonly faults: number;
  readonly job: Job;
  readonly result?: RoundResult;
}

export interface CurrentJob {
  readonly head: number;
  readonly job: Job;
  readonly undo: readonly number[];
  readonly redo: readonly number[];
}

/** A version that is kept beside a job, because another save came first. */
export interface VersionBeside {
  readonly id: number;
  readonly at: string;
  readonly isSettled: boolean;
}

export interface ExportFacts {
  readonly id: string;
  readonly revision: number;
  readonly kind: string;
  readonly state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
  readonly share: number;
  readonly step: string;
  readonly problem: string | null;
  readonly files: readonly { readonly name: string; readonly type: string; readonly bytes: number }[];
  readonly at: string;
  /** How long it will take yet, seconds; null while that cannot be told. */
  readonly left: number | null;
}

/** An export of any job, in the queue. */
export interface Queued extends ExportFacts {
  readonly job: string;
  readonly name: string;
}

/** What a print house says of a file, with a picture of each place where there is one. */
export interface HouseAnswer {
  readonly reply: Reply;
  /** One for each remark, as an address; empty for none. */
  readonly pictures: readonly string[];
}

/** A kind of file that jobs are made into. */
export interface ExportKind {
  readonly kind: string;
  readonly label: string;
  readonly about: string;
  /** Of what a piece must have something. */
  readonly needs?: 'lines' | 'lines or folds';
  readonly isMain?: true;
}

/** The shop books by the names they have in addresses. */
export type Book = 'papers' | 'printers' | 'kits';

/** Every call the pages make. */
export const api = {
  jobs: () => call<{ jobs: readonly JobSummary[] }>('/api/jobs'),
  create: (document: Job, label: string) => call<JobSummary>('/api/jobs', json('POST', { document, label })),
  /** Gives facts to several jobs at once. */
  changeSeveral: (ids: readonly string[], facts: JobFacts, label: string) =>
    call<{ changed: readonly unknown[]; refused: readonly { readonly id: string; readonly message: string }[] }>(
      '/api/jobs',
      json('PATCH', { ids, facts, label }),
    ),
  remove: (id: string) => call<unknown>(`/api/jobs/${id}`, { method: 'DELETE' }),
  putBack: (id: string) => call<unknown>(`/api/jobs/${id}`, { method: 'PUT' }),
  findings: (id: string, rev: number, again = false) =>
    call<{ findings: readonly Finding[] }>(`/api/jobs/${id}/checks?rev=${rev}${again ? '&again=1' : ''}`),
  /** What the house of a job answers to its press file. */
  askHouse: (id: string, rev: number, signal: AbortSignal) =>
    call<HouseAnswer>(`/api/jobs/${id}/house?rev=${rev}`, { method: 'POST', signal }),
  current: (id: string) => call<CurrentJob>(`/api/jobs/${id}`),
  revision: (id: string, number: number) => call<{ job: Job }>(`/api/jobs/${id}/revisions/${number}`),
  /** Makes an earlier state the newest, where the newest can no longer be read. */
  layOnTop: (id: string, number: number) => call<unknown>(`/api/jobs/${id}/revisions/${number}`, { method: 'PUT' }),
  save: (id: string, request: SaveRequest, keepalive = false) =>
    call<SaveAnswer>(`/api/jobs/${id}/revisions`, { ...json('POST', request), keepalive }),
  /** Versions that another save came before. */
  beside: (id: string) => call<{ versions: readonly VersionBeside[] }>(`/api/jobs/${id}/conflicts`),
  versionBeside: (id: string, version: number) => call<{ job: Job }>(`/api/jobs/${id}/conflicts/${version}`),
  settle: (id: string, conflict: number) => call<unknown>(`/api/jobs/${id}/conflicts/${conflict}`, { method: 'PUT' }),
  palette: (sha: string) => call<{ colours: readonly Rgb[] }>(`/api/assets/${sha}/colours`),
  shapes: (sha: string, by: string, threshold: number) =>
    call<{ shapes: string; count: number }>(`/api/assets/${sha}/shapes?by=${by}&threshold=${threshold}`),
  gamut: (address: string) => call<{ share: number; worst: number }>(address),
  pixel: (sha: string, x: number, y: number) =>
    call<{ colours: readonly Rgb[] }>(`/api/assets/${sha}/colours?x=${x}&y=${y}`),
  papers: () => call<{ records: readonly Stock[] }>('/api/papers'),
  printers: () => call<{ records: readonly House[] }>('/api/printers'),
  kits: () => call<{ records: readonly Kit[] }>('/api/kits'),
  lessons: (facts: AlikeFacts, not: string) =>
    call<{ lessons: readonly Lesson[] }>(`/api/lessons?${new URLSearchParams({ ...facts, not }).toString()}`),
  weeks: () => call<{ jobs: readonly PlannedJob[] }>('/api/weeks'),
  practice: () => call<PracticeFacts>('/api/practice'),
  beginRound: (asked: RoundWish) => call<{ id: string }>('/api/practice/rounds', json('POST', asked)),
  round: (id: string) => call<OpenRound>(`/api/practice/rounds/${id}`),
  handIn: (id: string, marks: readonly Mark[]) => call<OpenRound>(`/api/practice/rounds/${id}`, json('PUT', marks)),
  countDrill: (done: { learner: string; kind: string; isRight: boolean }) =>
    call<unknown>('/api/practice/drills', json('POST', done)),
  forgetLearner: (name: string) =>
    call<unknown>(`/api/practice/learners/${encodeURIComponent(name)}`, { method: 'DELETE' }),
  saveRecord: (book: Book, name: string, record: Stock | House | Kit) =>
    call<unknown>(`/api/${book}/${encodeURIComponent(name)}`, json('PUT', record)),
  removeRecord: (book: Book, name: string) =>
    call<unknown>(`/api/${book}/${encodeURIComponent(name)}`, { method: 'DELETE' }),
  exports: (id: string) =>
    call<{ kinds: readonly ExportKind[]; exports: readonly ExportFacts[] }>(`/api/jobs/${id}/exports`),
  /** @param revision left out, the newest */
  exportJob: (id: string, kind: string, revision?: number) =>
    call<ExportFacts>(`/api/jobs/${id}/exports`, json('POST', { kind, revision })),
  queue: () => call<{ queue: readonly Queued[] }>('/api/exports'),
  /** Before all others that wait. */
  hurryExport: (id: string) => call<ExportFacts>(`/api/exports/${id}`, { method: 'PATCH' }),
  cancelExport: (id: string) => call<ExportFacts>(`/api/exports/${id}`, { method: 'DELETE' }),
};

/** A sentence for a message: what was wrong and what to do. */
export const wordsOf = (error: unknown): string =>
  error instanceof ApiError
    ? `${error.message} ${error.todo}`
    : error instanceof Error
      ? error.message
      : 'Something went wrong.';
