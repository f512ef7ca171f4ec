'use client';
import { useCallback, useState } from 'react';
import { addressOf, type Asked } from './order';
import { wordsOf, type HouseAnswer } from '../shell/api';
import { Stopped, upload } from '../shell/upload';

/** A file that was handed in, and what came back. */
export interface HandedIn {
  readonly key: number;
  readonly file: File;
  readonly answer:
    | { readonly is: 'waiting' }
    | ({ readonly is: 'reply' } & HouseAnswer)
    | { readonly is: 'problem'; readonly problem: string };
}

let keys = 0;

/** Files in the order in which they were handed in; each is asked about after the one before it. */
export function useReplies(asked: Asked) {
  /** What those that are listed were held to. */
  const [heldTo, setHeldTo] = useState(asked);
  const [list, setList] = useState<readonly HandedIn[]>([]);
  const handIn = useCallback(
    async (files: readonly File[]) => {
      const handed = files.map((file): HandedIn => ({ key: (keys += 1), file, answer: { is: 'waiting' } }));
      setList((before) => [...before, ...handed]);
      setHeldTo(asked);
      const answered = (key: number, answer: HandedIn['answer']) =>
        setList((before) => before.map((one) => (one.key === key ? { ...one, answer } : one)));
      for (const { key, file } of handed) {
        try {
          const said = await upload<HouseAnswer>(addressOf(asked), file);
          answered(key, { is: 'reply', ...said });
        } catch (error) {
          answered(key, { is: 'problem', problem: wordsOf(error) });
          // Who stops one of many wants no more of them.
          if (error instanceof Stopped) {
            setList((before) => before.filter((one) => one.answer.is !== 'waiting'));
            break;
          }
        }
      }
    },
    [asked],
  );
  const clear = useCallback(() => setList([]), []);
  /** Asks about all of them once more, by another book or for another order. */
  const again = useCallback(() => {
    setList([]);
    return handIn(list.map(({ file }) => file));
  }, [handIn, list]);
  const isWaiting = list.some(({ answer }) => answer.is === 'waiting');
  const isOther = list.length > 0 && !isWaiting && heldTo !== asked;
  return { list, handIn, clear, again, isOther };
}
