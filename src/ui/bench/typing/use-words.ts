'use client';
import { registerRichText } from '@lexical/rich-text';
import {
  $getSelection,
  $isRangeSelection,
  COMMAND_PRIORITY_CRITICAL,
  CONTROLLED_TEXT_INSERTION_COMMAND,
  INSERT_PARAGRAPH_COMMAND,
  KEY_DOWN_COMMAND,
  createEditor,
  mergeRegister,
  type LexicalEditor,
} from 'lexical';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { plainText, type Paragraph, type TextRange } from '@/core/job';
import { $copyAbout, $putParagraphs, $select, $selectedRange, $styleOf, endOfChange, paragraphReader } from './words';

interface Words {
  readonly paragraphs: readonly Paragraph[];
  readonly onChange: (paragraphs: Paragraph[], range: TextRange) => void;
  readonly onSelect: (range: TextRange) => void;
  /** @returns whether the key was taken */
  readonly onKey: (event: KeyboardEvent) => boolean;
  /** The style of the paragraph begun after one of a style. */
  readonly nextStyle: (style: string | undefined) => string | undefined;
}

const FROM_JOB = 'from-job';

/** Words in an editor that is not seen: it takes keys, input methods and the clipboard, and holds what is selected. */
export function useWords(words: Words) {
  const [editor] = useState(() =>
    createEditor({
      namespace: 'yellow-sheet',
      onError: (error) => {
        throw error;
      },
    }),
  );
  const [read] = useState(paragraphReader);
  const last = useRef<readonly Paragraph[]>(undefined);
  const changed = useEffectEvent((paragraphs: Paragraph[], range: TextRange) => {
    last.current = paragraphs;
    words.onChange(paragraphs, range);
  });
  const selected = useEffectEvent((range: TextRange) => words.onSelect(range));
  const pressed = useEffectEvent((event: KeyboardEvent) => words.onKey(event));
  const nextStyle = useEffectEvent((style: string | undefined) => words.nextStyle(style));

  useEffect(
    () =>
      mergeRegister(
        registerRichText(editor),
        editor.registerUpdateListener(({ editorState, dirtyElements, dirtyLeaves, tags }) => {
          if (tags.has(FROM_JOB)) return;
          editorState.read(() => {
            const range = $selectedRange() ?? [0, 0];
            if (dirtyElements.size + dirtyLeaves.size > 0) changed(read(), range);
            else selected(range);
          });
        }),
        editor.registerCommand(KEY_DOWN_COMMAND, pressed, COMMAND_PRIORITY_CRITICAL),
        editor.registerCommand(
          CONTROLLED_TEXT_INSERTION_COMMAND,
          (data) => {
            const selection = $getSelection();
            if (typeof data !== 'string' || !data.includes('\n') || !$isRangeSelection(selection)) return false;
            data.split('\n').forEach((line, i) => {
              if (i > 0) selection.insertParagraph();
              selection.insertText(line);
            });
            return true;
          },
          COMMAND_PRIORITY_CRITICAL,
        ),
        editor.registerCommand(
          INSERT_PARAGRAPH_COMMAND,
          () => {
            const selection = $getSelection();
            if (!$isRangeSelection(selection)) return false;
            const from = selection.anchor.getNode().getTopLevelElementOrThrow();
            const isAtEnd =
              selection.isCollapsed() && selection.anchor.getNode().getTextContentSize() === selection.anchor.offset;
            const made = selection.insertParagraph();
            if (!made) return true;
            const style = isAtEnd ? nextStyle($styleOf(from)) : undefined;
            $copyAbout(from, made, style);
            return true;
          },
          COMMAND_PRIORITY_CRITICAL,
        ),
      ),
    [editor, read],
  );

  // What the job says otherwise than the editor – undone, or changed on the slip – is put into the editor.
  const { paragraphs } = words;
  useEffect(() => {
    if (last.current === paragraphs) return;
    const isFirst = last.current === undefined;
    const caret = last.current && endOfChange(plainText(last.current), plainText(paragraphs));
    last.current = paragraphs;
    editor.update(
      () => {
        const range = $selectedRange();
        $putParagraphs(paragraphs);
        if (isFirst) $select([0, Infinity]);
        else if (caret !== undefined) $select([caret, caret]);
        else if (range) $select(range);
      },
      { tag: FROM_JOB, discrete: true },
    );
    if (isFirst || caret !== undefined) editor.getEditorState().read(() => selected($selectedRange() ?? [0, 0]));
  }, [editor, paragraphs]);

  return editor;
}

/** Selects in the editor, and takes the keys again. */
export function putSelection(editor: LexicalEditor, range: TextRange): void {
  // At once: the next key may already ask what is selected.
  editor.update(() => $select(range), { discrete: true });
  editor.focus();
}
