import { create } from 'zustand';

/** A file that is being brought in. */
export interface Going {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  /** Sent to the server, or read here. */
  readonly how: 'sent' | 'read';
  /** Since when, ms. */
  readonly since: number;
  /** Bytes that were sent of it. */
  readonly sent: number;
  /** The line broke: it is sent again soon. */
  readonly waits: boolean;
  readonly stop: () => void;
}

/** Files on their way, in the order in which they were given. */
export const useGoing = create<{ readonly going: readonly Going[] }>(() => ({ going: [] }));

/** Says that a file is on its way. @returns what changes that, and a signal that is aborted when the user stops it */
export function beginGoing({ name, size }: File, how: Going['how']) {
  const id = crypto.randomUUID();
  const stopping = new AbortController();
  const stop = () => stopping.abort();
  const mine: Going = { id, name, size, how, since: Date.now(), sent: 0, waits: false, stop };
  useGoing.setState(({ going }) => ({ going: [...going, mine] }));
  return {
    signal: stopping.signal,
    change: (values: Pick<Going, 'sent' | 'waits'>): void =>
      useGoing.setState(({ going }) => ({ going: going.map((g) => (g.id === id ? { ...g, ...values } : g)) })),
    end: (): void => useGoing.setState(({ going }) => ({ going: going.filter((g) => g.id !== id) })),
  };
}
