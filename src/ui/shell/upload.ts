import { sha256 } from '@noble/hashes/sha2.js';
import { ApiError, Unreachable, resultOf } from './api';
import { beginGoing } from './going';

/** How often a file is sent before it is given up, and the first of the pauses between, ms: each is twice as long. */
const [TRIES, PAUSE] = [6, 1_000];

/** Answers after which the same is sent again: the server was not itself. */
const FOR_NOW = [408, 429, 502, 503, 504];

/** Whether it may go well the next time: nothing came back, or what arrived was not what was sent. */
const isPassing = (error: unknown): boolean =>
  error instanceof Unreachable ||
  (error instanceof ApiError && (FOR_NOW.includes(error.status) || error.details['again'] === true));

/** The user stopped a file on its way. */
export class Stopped extends Error {}

/**
 * Sends a file as the body of a request, with what it should be when it arrives (RFC 9530); where the line breaks it is
 * sent again.
 * @throws ApiError, Unreachable, or an error that says it was stopped
 */
export async function upload<T>(path: string, file: File): Promise<T> {
  const { signal, change, end } = beginGoing(file, 'sent');
  try {
    const digest = await digestOf(file, signal);
    for (let tries = 1; ; tries += 1) {
      try {
        const onSent = (sent: number) => change({ sent, waits: false });
        const { status, text } = await sendOnce(path, file, digest, signal, onSent);
        return resultOf(status, text) as T;
      } catch (error) {
        if (!isPassing(error) || tries >= TRIES) throw error;
        change({ sent: 0, waits: true });
        await pause(PAUSE * 2 ** (tries - 1), signal);
      }
    }
  } catch (error) {
    throw error instanceof Stopped ? new Stopped(`“${file.name}” was stopped. Nothing was changed.`) : error;
  } finally {
    end();
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
