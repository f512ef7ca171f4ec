'use client';
import { useEffect, useMemo, useRef } from 'react';
import {
  elementsOn,
  placeOfCell,
  plainText,
  styleBook,
  type CharacterChanges,
  type ElementOf,
  type ParagraphLook,
  type StyleBook,
  type TextRange,
} from '@/core/job';
import type { Story } from '@/core/compose';
import { allLines, caretAt, indexAt, indexOnLine, lineOfIndex, type ComposedText, type Line } from '@/core/type';
import { useDesk } from '../../open-job/use-desk';
import { useJob } from '../../open-job/context';
import { useNextCell } from '../../open-job/use-cells';
import { changeSide, findText, placeOfText, withWordsOf, type TextPlace } from '@/core/edit';
import { COLOURS } from '../../shell/theme';
import { useTextTarget } from '../../slip/text/use-text-target';
import type { Projection } from '../../view/bench-view';
import { putSelection, useWords } from './use-words';

/** Further right than any line reaches, mm. */
const END = 1e9;

/** Text typed in place; a frame that text flows into opens the text itself. */
export function Typing({ id, at }: { readonly id: string; readonly at: Projection }) {
  const { story, piece, job } = useDesk();
  const { styles, cellStyles } = job;
  const book = useMemo(() => styleBook({ styles, cellStyles }), [styles, cellStyles]);
  const text = story(id);
  const head = text?.chain[0];
  const found = head === undefined ? undefined : findText(piece, head, book);
  if (!text || !found) return null;
  return <Words key={head} element={found.text} side={found.side} story={text} book={book} at={at} />;
}

interface WordsProps {
  readonly element: ElementOf<'text'>;
  /** Where its first frame is. */
  readonly side: string;
  readonly story: Story;
  readonly book: StyleBook;
  readonly at: Projection;
}

/**
 * An unseen field takes the keys, so that input methods, the clipboard and screen readers work; what is seen are the
 * very glyphs that will be printed, with a caret and a selection of our own.
 */
function Words({ element, side, story, book, at }: WordsProps) {
  const { text, chain } = story;
  const { drawing, job, piece } = useDesk();
  const here = useJob((s) => s.side);
  const range = useJob((s) => s.range) ?? [0, 0];
  const change = useJob((s) => s.change);
  const stop = useJob((s) => s.type);
  const mark = useJob((s) => s.mark);
  const undo = useJob((s) => s.undo);
  const redo = useJob((s) => s.redo);
  const field = useRef<HTMLDivElement>(null);
  const { there, set, setParagraphStyle } = useTextTarget(element);
  const inTable = placeOfCell(element.id) !== undefined;
  const toCell = useNextCell();

  const editor = useWords({
    paragraphs: element.paragraphs,
    onChange: (paragraphs, to) => {
      change(
        'Type',
        (now) => changeSide(now, side, (list) => withWordsOf(list, element.id, paragraphs)),
        `type-${element.id}`,
      );
      mark(to);
    },
    onSelect: mark,
    onKey: (event) => {
      if (event.key === 'Escape') {
        event.preventDefault();
        event.stopPropagation();
        stop(undefined);
        return true;
      }
      if (event.key === 'Tab' && inTable) {
        event.preventDefault();
        event.stopPropagation();
        toCell(element.id, event.shiftKey ? -1 : 1);
        return true;
      }
      const isCommand = event.ctrlKey || event.metaKey;
      if (isCommand && /^[zy]$/i.test(event.key)) {
        event.preventDefault();
        void (event.key.toLowerCase() === 'y' || event.shiftKey ? redo() : undo());
        return true;
      }
      const wish = isCommand ? lookOfKey(event.key, there.look) : undefined;
      if (wish) {
        event.preventDefault();
        set(wish.label, wish.look);
        return true;
      }
      // While words are typed, Alt and a figure name a paragraph style by its place in the list.
      const nth = event.altKey && !isCommand ? /^Digit(\d)$/.exec(event.code)?.[1] : undefined;
      const style = job.styles.filter((s) => s.of === 'paragraph')[Number(nth) - 1];
      if (nth === '0' || style) {
        event.preventDefault();
        setParagraphStyle(style?.id ?? null);
        return true;
      }
      const target = goesTo(text, range, plainText(element.paragraphs), event);
      if (target === undefined) return false;
      event.preventDefault();
      putSelection(editor, event.shiftKey ? [range[0], target] : [target, target]);
      return true;
    },
    nextStyle: (style) => {
      const named = job.styles.find((s) => s.id === (style ?? element.style));
      return named?.of === 'paragraph' ? (named.next ?? undefined) : undefined;
    },
  });

  useEffect(() => {
    editor.setRootElement(field.current);
    field.current?.focus({ preventScroll: true });
    return () => editor.setRootElement(null);
  }, [editor]);

  const places = chain.map((name) => placeOfText(name, elementsOn(piece, here), drawing, book));
  const first = places.find((place) => place !== undefined);
  const from = Math.min(...range);
  const to = Math.max(...range);
  return (
    <>
      <foreignObject
        x={at.x(first?.rect.x ?? 0)}
        y={at.y(first?.rect.y ?? 0)}
        width="1"
        height="1"
        style={{ overflow: 'hidden' }}
      >
        <div
          ref={field}
          contentEditable
          suppressContentEditableWarning
          role="textbox"
          aria-multiline
          aria-label={`Text of ${first?.name ?? (element.name || 'the text')}`}
          data-typing={element.id}
          spellCheck={false}
          style={{ width: 1, height: 1, opacity: 0, overflow: 'hidden', whiteSpace: 'pre' }}
        />
      </foreignObject>
      {places.map((place, i) => {
        if (!place) return null;
        return (
          <TypedFrame
            key={place.id}
            place={place}
            index={i}
            text={text}
            range={[from, to]}
            at={at}
            onPoint={(index, extend) => putSelection(editor, extend ? [range[0], index] : [index, index])}
          />
        );
      })}
    </>
  );
}

/** Keys that change the look of what is selected: the same in every program that sets words. */
function lookOfKey(
  key: string,
  look: ParagraphLook,
): { readonly label: string; readonly look: CharacterChanges } | undefined {
  switch (key.toLowerCase()) {
    case 'b':
      return { label: 'Weight', look: { weight: look.weight >= BOLD ? 400 : 700 } };
    case 'i':
      return { label: 'Italic', look: { italic: !look.italic } };
    case 'u':
      return { label: 'Underline', look: { underline: !look.underline } };
    default:
      return undefined;
  }
}

/** Weights from here on count as bold. */
const BOLD = 600;

/** How far about a place its letter is looked for: no letter is longer in UTF-16. */
const NEAR = 40;

/** The place a letter further or back; what is one letter to the reader is never parted. */
function stepped(words: string, from: number, by: 1 | -1): number {
  const start = Math.max(0, from - NEAR);
  const letters = [...new Intl.Segmenter().segment(words.slice(start, from + NEAR))].map((s) => start + s.index);
  if (by > 0) return letters.find((at) => at > from) ?? Math.min(words.length, from + NEAR);
  return letters.findLast((at) => at < from) ?? 0;
}

/**
 * Where a key takes the caret. Up, down, home and end follow the lines that are seen, since the field breaks its lines
 * elsewhere; left and right are ours too, so that what is selected is known before the next key.
 */
function goesTo(text: ComposedText, range: TextRange, words: string, event: KeyboardEvent): number | undefined {
  if (event.ctrlKey || event.metaKey || event.altKey) return undefined;
  const lines = allLines(text);
  const from = range[1];
  const length = words.length;
  const isOpen = range[0] !== range[1] && !event.shiftKey;
  const line = lineOfIndex(text, from);
  const { x } = caretAt(text, from);
  switch (event.key) {
    case 'ArrowUp':
      return line === 0 ? 0 : indexOnLine(text, line - 1, x);
    case 'ArrowDown':
      return line >= lines.length - 1 ? length : indexOnLine(text, line + 1, x);
    case 'ArrowLeft':
      return isOpen ? Math.min(...range) : stepped(words, from, -1);
    case 'ArrowRight':
      return isOpen ? Math.max(...range) : stepped(words, from, 1);
    case 'Home':
      return lines[line]?.from ?? 0;
    case 'End':
      return indexOnLine(text, line, END);
    default:
      return undefined;
  }
}

interface FrameProps {
  readonly place: TextPlace;
  /** Which of the story’s frames it is. */
  readonly index: number;
  readonly text: ComposedText;
  readonly range: TextRange;
  readonly at: Projection;
  readonly onPoint: (index: number, extend: boolean) => void;
}

/** One frame of the text: its outline, what is selected in it, and the caret where that is in it. */
function TypedFrame({ place, index, text, range, at, onPoint }: FrameProps) {
  const { rect, rotate, about, origin } = place;
  const caret = caretAt(text, range[1]);
  const lines = allLines(text).filter((line) => line.frame === index);
  const dragging = useRef(false);
  const pointIn = (event: React.PointerEvent<SVGElement>) => {
    const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const p = at.toMm({ x: event.clientX - (svg?.left ?? 0), y: event.clientY - (svg?.top ?? 0) });
    return indexAt(text, index, p.x - origin.x, p.y - origin.y);
  };
  return (
    <g transform={`rotate(${rotate} ${at.x(about.x)} ${at.y(about.y)})`}>
      <rect
        x={at.x(rect.x)}
        y={at.y(rect.y)}
        width={rect.width * at.scale}
        height={rect.height * at.scale}
        fill="transparent"
        stroke={COLOURS.accent}
        strokeDasharray="4 3"
        style={{ cursor: 'text' }}
        onPointerDown={(event) => {
          event.preventDefault();
          event.stopPropagation();
          dragging.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          onPoint(pointIn(event), event.shiftKey);
        }}
        onPointerMove={(event) => dragging.current && onPoint(pointIn(event), true)}
        onPointerUp={() => {
          dragging.current = false;
        }}
      />
      <g pointerEvents="none" aria-hidden>
        {lines
          .flatMap((line) => markOn(text, line, range))
          .map((m) => (
            <rect
              key={`${m.x} ${m.y}`}
              x={at.x(origin.x + m.x)}
              y={at.y(origin.y + m.y)}
              width={m.width * at.scale}
              height={m.height * at.scale}
              fill={COLOURS.accent}
              fillOpacity="0.3"
            />
          ))}
        {range[0] === range[1] && caret.frame === index && (
          <line
            x1={at.x(origin.x + caret.x)}
            x2={at.x(origin.x + caret.x)}
            y1={at.y(origin.y + caret.top)}
            y2={at.y(origin.y + caret.top + caret.height)}
            stroke={COLOURS.accent}
            strokeWidth="2"
          />
        )}
      </g>
    </g>
  );
}

/** The part of a line that is selected. */
function markOn(text: ComposedText, line: Line, [from, to]: TextRange) {
  const [a, b] = [Math.max(from, line.from), Math.min(to, line.to)];
  if (b <= a) return [];
  const start = a === line.from ? line.x : caretAt(text, a).x;
  const end = b >= line.to ? line.x + line.width : caretAt(text, b).x;
  return [
    { x: start, y: line.baseline - line.ascent, width: Math.max(end - start, 0.3), height: line.ascent + line.descent },
  ];
}
