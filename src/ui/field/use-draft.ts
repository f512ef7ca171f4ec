import { useState, type ChangeEvent, type KeyboardEvent } from 'react';
import type { FieldError, Parsed } from '@/core/measure';

/** Which key takes what was typed: a field of several lines keeps Enter for itself. */
type TakenBy = 'enter' | 'ctrl-enter' | 'leaving';

interface Draft<T> {
  /** What stands in the field while nothing is typed. */
  readonly shown: string;
  readonly read: (text: string) => Parsed<T>;
  /** A further condition, such as “not negative”. */
  readonly refuse?: ((value: T) => string | undefined) | undefined;
  readonly onTake: (value: T) => void;
  readonly takenBy?: TakenBy;
}

/**
 * What is typed into a field before it counts: taken on leaving or by a key, dropped on Escape, refused with the place
 * of what cannot be read. What was not changed is not taken.
 */
export function useDraft<T>({ shown, read, refuse, onTake, takenBy = 'enter' }: Draft<T>) {
  const [draft, setDraft] = useState<string>();
  const [error, setError] = useState<FieldError>();
  const understood = (text: string): Parsed<T> => {
    const result = read(text);
    const refusal = result.ok ? refuse?.(result.value) : undefined;
    return refusal ? { ok: false, error: { at: 0, length: text.length, message: refusal } } : result;
  };
  const leave = () => {
    setDraft(undefined);
    setError(undefined);
  };
  const take = () => {
    if (draft === undefined || draft === shown) return leave();
    const result = understood(draft);
    if (!result.ok) return setError(result.error);
    leave();
    onTake(result.value);
  };
  const text = draft ?? shown;
  return {
    text,
    error,
    /** For the field itself. */
    field: {
      value: text,
      onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
        const typed = event.target.value;
        setDraft(typed);
        if (!error) return;
        // A mended word loses its message at once: what stands below moves before the hand goes there, not under it.
        const result = understood(typed);
        setError(result.ok ? undefined : result.error);
      },
      onBlur: take,
      onKeyDown: (event: KeyboardEvent) => {
        const isEnter = event.key === 'Enter' && takenBy !== 'leaving';
        if (isEnter && (takenBy === 'enter' || event.ctrlKey || event.metaKey)) {
          // It takes the value; a form around the field is not sent by it.
          event.preventDefault();
          take();
        }
        if (event.key === 'Escape') leave();
      },
    },
  };
}

/** Words as they are typed: there are none that cannot be read. */
export const readWords = (text: string): Parsed<string> => ({ ok: true, value: text });
