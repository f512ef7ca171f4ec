'use client';
import { useEffect } from 'react';
import { keyOf, type Command } from '../open-job/command';

/** Where typing is meant for the field and not for the program. */
function isField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Controls that have a use of their own for these keys. */
const OWN_USE = ['Tab', 'Shift+Tab', 'Enter', 'Escape', 'Space', 'ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'];

/**
 * A button that took itself away leaves what it stood in without the focus for a moment; the keys are still not the
 * bench’s.
 */
const isSomethingOpen = () => document.querySelector('.MuiModal-root') !== null;

/** Whether a key, or what is on the clipboard, is meant for the bench. */
export const isOnBench = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  (target.closest('[data-bench]') !== null || (target === document.body && !isSomethingOpen()));

/** Listens for the keys of the commands. Tab, Enter and the arrows belong to the bench only while it has the focus. */
export function useKeys(commands: () => readonly Command[], isOff: () => boolean): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.defaultPrevented || isOff()) return;
      const key = keyOf(event);
      // From a field only the keys that no field has a use for.
      if (isField(event.target) && !/^Alt\+\d$/.test(key)) return;
      if (OWN_USE.includes(key) && !isOnBench(event.target)) return;
      const command = commands().find((c) => c.keys.includes(key) && c.enabled);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [commands, isOff]);
}
