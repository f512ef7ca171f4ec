import { sha256 } from '@noble/hashes/sha2.js';
import { create } from 'zustand';
import { ApiError, Unreachable, resultOf } from './api';

/** A file on its way to the server. */
export interface Going {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  /** Bytes that were sent of it. */
  readonly sent: number;
  /** The line broke: it is sent again soon. */
  readonly waits: boolean;
  readonly stop: () => void;
}

/** Files on their way, in the order in which they were given. */
export const useUploads = create<{ readonly going: readonly Going[] }>(() => ({ going: [] }));

const change = (id: string, values: Partial<Going>): void =>
  useUploads.setState(({ going }) => ({ going: going.map((g) => (g.id === id ? { ...g, ...values } : g)) }));

/** How often a file is sent before it is given up, and the first of the pauses between, ms: each is twice as long. */
const [TRIES, PAUSE] = [6, 1_000];

/** Answers after which the same is sent again: the server was not itself. */
const FOR_NOW = [408, 429, 502, 503, 504];

/** Whether it may go well the next time: nothing came back, or what arrived was not what was sent. */
const isPassing = (error: unknown): boolean =>
  error instanceof Unreachable ||
  (error instanceof ApiError && (FOR_NOW.includes(error.status) || error.details['again'] === true));

class Stopped extends Error {}

/**
 * Sends a file as the body of a request, with what it should be when it arrives (RFC 9530); where the line breaks it is sent again.
 * @throws ApiError, Unreachable, or an error that says it was stopped
 */
export async function upload<T>(path: string, file: File): Promise<T> {
  const id = crypto.randomUUID();
  const stopping = new AbortController();
  const { signal } = stopping;
  const going: Going = { id, name: file.name, size: file.size, sent: 0, waits: false, stop: () => stopping.abort() };
  useUploads.setState((s) => ({ going: [...s.going, going] }));
  try {
    const digest = await digestOf(file, signal);
    for (let tries = 1; ; tries += 1) {
      try {
        const onSent = (sent: number) => change(id, { sent, waits: false });
        const { status, text } = await sendOnce(path, file, digest, signal, onSent);
        return resultOf(status, text) as T;
      } catch (error) {
        if (!isPassing(error) || tries >= TRIES) throw error;
        change(id, { sent: 0, waits: true });
        await pause(PAUSE * 2 ** (tries - 1), signal);
      }
    }
  } catch (error) {
    throw error instanceof Stopped ? new Error(`“${file.name}” was stopped. Nothing was changed.`) : error;
  } finally {
    useUploads.setState((s) => ({ going: s.going.filter((g) => g.id !== id) }));
  }
}

/** SHA-256 of a file in base64, read part by part. */
async function digestOf(file: File, signal: AbortSignal): Promise<string> {
  const hash = sha256.create();
  const reader = file.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (signal.aborted) throw new Stopped();
    if (done) break;
    hash.update(value);
  }
  return btoa(String.fromCharCode(...hash.digest()));
}

const pause = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms);
    const stop = () => {
      clearTimeout(timer);
      reject(new Stopped());
    };
    signal.addEventListener('abort', stop, { once: true });
  });

/** Only this kind of request says how much of it has gone. */
function sendOnce(
  path: string,
  file: File,
  digest: string,
  signal: AbortSignal,
  onSent: (bytes: number) => void,
): Promise<{ readonly status: number; readonly text: string }> {
  return new Promise((resolve, reject) => {
    if (signal.aborted) return reject(new Stopped());
    const request = new XMLHttpRequest();
    const stop = () => request.abort();
    signal.addEventListener('abort', stop, { once: true });
    request.upload.onprogress = ({ loaded }) => onSent(loaded);
    request.onloadend = () => {
      signal.removeEventListener('abort', stop);
      if (signal.aborted) return reject(new Stopped());
      // Nothing came back: the line is broken.
      if (request.status === 0)
        return reject(new Unreachable('The server does not answer. Look at the connection and try again.'));
      resolve({ status: request.status, text: request.responseText });
    };
    request.open('POST', path);
    request.setRequestHeader('repr-digest', `sha-256=:${digest}:`);
    request.send(file);
  });
}
