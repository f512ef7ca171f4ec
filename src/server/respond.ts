import 'server-only';
import { NextResponse } from 'next/server';
import { giveBackLater } from './give-back';
import { isOwnHost, isOwnOrigin } from './hosts';
import { checkAddress } from './params';
import { Problem } from './problem';
import { dataFolder } from './store/database';
import { broken, halted, unclear } from './problems';

type Handler<C> = (request: Request, context: C) => Promise<unknown>;

/**
 * Wraps a route: checks who asks, answers results as JSON, and every error in one shape:
 * `{ error: { message, todo, details } }`.
 */
export function route<C>(handler: Handler<C>): (request: Request, context: C) => Promise<Response> {
  return async (request, context) => {
    giveBackLater();
    try {
      guard(request);
      await checkAddress(context);
      const result = await handler(request, context);
      return result instanceof Response ? result : NextResponse.json(result ?? {});
    } catch (error) {
      const problem = problemOf(error);
      if (problem !== error) console.error(error);
      return answer(problem);
    }
  };
}

/** What is said of an error: what the disk refuses is no riddle. */
export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const { code, original } = error as { code?: unknown; original?: { code?: unknown; message?: unknown } };
  const said = [code, original?.code, original?.message].join(' ');
  const where = dataFolder();
  if (/ENOSPC|EDQUOT|SQLITE_FULL/.test(said)) return broken.full(where);
  if (/EROFS|EACCES|EPERM|SQLITE_READONLY|SQLITE_CANTOPEN/.test(said)) return broken.readOnly(where);
  if (/SQLITE_CORRUPT|SQLITE_NOTADB/.test(said)) return broken.database(where);
  return broken.unknown();
}

const answer = ({ status, message, todo, details }: Problem): Response =>
  NextResponse.json({ error: { message, todo, details } }, { status });

function guard(request: Request): void {
  const host = request.headers.get('host');
  if (!isOwnHost(host)) throw halted.address();
  // A page of somebody else may not make this server compute, though it would not see the answer. What no page asks for
  // says nothing.
  const from = request.headers.get('sec-fetch-site');
  if (from !== null && from !== 'same-origin' && from !== 'none') throw halted.otherSite();
  if (request.method !== 'GET' && !isOwnOrigin(request.headers.get('origin'), host)) {
    throw halted.otherSite();
  }
}

/** Longest that nothing may come of a body, and that all of it may take, ms. */
const STALLED = 15_000;
const BODY_TIME = 600_000;

/** A promise, or a refusal when it takes longer than so many ms. */
async function within<T>(promise: Promise<T>, ms: number, refusal: () => Problem): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(refusal()), ms);
  });
  try {
    return await Promise.race([promise, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** The parts of a body up to a size and a time; what is longer, or does not come, is refused. */
export async function* bodyParts(request: Request, most: number): AsyncGenerator<Uint8Array> {
  const tooLarge = () => halted.tooLarge(most);
  const tooSlow = () => halted.tooSlow();
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge();
  if (!request.body) return;
  const reader = request.body.getReader();
  const until = Date.now() + BODY_TIME;
  let size = 0;
  let isWhole = false;
  try {
    for (;;) {
      const { done, value } = await within(reader.read(), Math.min(STALLED, until - Date.now()), tooSlow);
      if (done) break;
      size += value.length;
      if (size > most) throw tooLarge();
      yield value;
    }
    isWhole = true;
  } finally {
    // Not waited for: who sends nothing may not answer either.
    if (!isWhole) void reader.cancel().catch(() => undefined);
  }
}

/** Reads a body up to a size and a time. */
export async function readBody(request: Request, most: number): Promise<Uint8Array> {
  const parts: Uint8Array[] = [];
  for await (const part of bodyParts(request, most)) parts.push(part);
  return Buffer.concat(parts);
}

/** Jobs without their files, and what is said of them: a catalogue of a hundred pages takes less than one. */
export const MAX_JSON_BYTES = 16 * 1024 * 1024;

export async function readJson(request: Request): Promise<unknown> {
  const bytes = await readBody(request, MAX_JSON_BYTES);
  const value = parsed(Buffer.from(bytes).toString('utf8'));
  if (isDeep(value)) throw unclear.tooDeep();
  return value;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw unclear.notJson();
  }
}

/**
 * Levels of JSON that are taken in; a job has about twenty. What is read level by level would otherwise run out of
 * stack.
 */
const MOST_LEVELS = 200;

function isDeep(value: unknown): boolean {
  let level: readonly unknown[] = [value];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > MOST_LEVELS) return true;
    level = level.flatMap((v): readonly unknown[] => (typeof v === 'object' && v !== null ? Object.values(v) : []));
  }
  return false;
}
