'use client';
import { useEffect } from 'react';
import {
  Copied,
  changePiece,
  chosenOf,
  copied,
  guessedStyles,
  landingOn,
  pasted,
  pastedText,
  withElements,
  withoutElements,
} from '@/core/edit';
import { plainText } from '@/core/job';
import { counted } from '@/core/measure';
import { useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { useSay } from '../shell/Messages';
import { lookedAt } from '../view/bench-view';
import { isOnBench } from './use-keys';

/** What things are called on the clipboard, for pages of this program. */
const THINGS = 'application/x-yellow-sheet';

/** What pages of this program put on the clipboard. @returns undefined where it cannot be read */
function readThings(json: string): Copied | undefined {
  try {
    return Copied.parse(JSON.parse(json));
  } catch {
    return undefined;
  }
}

/**
 * Copies, cuts and pastes on the bench, between pieces and jobs: things as they are, text from elsewhere as a text or a
 * table, files as if they were dropped.
 * @param isOff while something else has the keys
 */
export function useClipboard(isOff: () => boolean, onFiles: (files: readonly File[]) => void): void {
  const store = useJobStore();
  const { drawing } = useDesk();
  const say = useSay();
  useEffect(() => {
    const isOurs = (event: ClipboardEvent) =>
      !event.defaultPrevented && !isOff() && isOnBench(event.target) && store.getState().station.opens;

    const copy = (event: ClipboardEvent) => {
      const { job, side, selection, change, select } = store.getState();
      if (!isOurs(event) || !event.clipboardData) return;
      const things = copied(job, side, selection, drawing.boxes);
      if (!things) return;
      event.preventDefault();
      event.clipboardData.setData(THINGS, JSON.stringify(things));
      const words = things.elements.flatMap((e) => (e.kind === 'text' ? [plainText(e.paragraphs)] : []));
      event.clipboardData.setData('text/plain', words.join('\n'));
      const count = things.elements.length;
      const many = counted(count, 'thing');
      if (event.type === 'copy') {
        say({ tone: 'done', text: `${many} copied.` });
        return;
      }
      change(`Cut ${many}`, (now) => changePiece(now, (piece) => withoutElements(piece, selection)));
      select([]);
    };

    /** What was pasted has headings or lists, as it seems: they are set so if that is wanted. */
    const offerStyles = () => {
      const { job, side, selection, change } = store.getState();
      const [text] = chosenOf(job, side, selection);
      const guess = text?.kind === 'text' ? guessedStyles(job, text) : undefined;
      if (!text || !guess) return;
      const run = () =>
        change('Set what was pasted', (now) =>
          withElements(now, side, (e) =>
            e.id === text.id && e.kind === 'text' ? { ...e, paragraphs: [...guess.paragraphs] } : e,
          ),
        );
      say({ tone: 'done', text: `It could be set so: ${guess.words}.`, action: { label: 'Set it so', run } });
    };

    const paste = (event: ClipboardEvent) => {
      if (!isOurs(event) || !event.clipboardData) return;
      const { side, selection, make } = store.getState();
      const files = [...event.clipboardData.files];
      const json = event.clipboardData.getData(THINGS);
      const things = json === '' ? undefined : readThings(json);
      if (json !== '' && !things) {
        event.preventDefault();
        say({ tone: 'problem', text: 'What was copied cannot be read here. Reload both pages and copy it again.' });
        return;
      }
      const text = event.clipboardData.getData('text/plain');
      if (!things && files.length === 0 && text.trim() === '') return;
      event.preventDefault();
      if (things) make('Paste', (now) => pasted(now, side, things, drawing.boxes));
      else if (files.length > 0) onFiles(files);
      else {
        const landing = landingOn(drawing, lookedAt());
        make('Paste text', (now) => pastedText(now, side, text, selection, drawing.boxes, landing));
        offerStyles();
      }
    };

    document.addEventListener('copy', copy);
    document.addEventListener('cut', copy);
    document.addEventListener('paste', paste);
    return () => {
      document.removeEventListener('copy', copy);
      document.removeEventListener('cut', copy);
      document.removeEventListener('paste', paste);
    };
  }, [store, drawing, say, isOff, onFiles]);
}
