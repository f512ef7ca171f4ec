'use client';
import { useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import { elementsOn, insetsOf, type ElementOf } from '@/core/job';
import { elementsDraft } from '../job/store';
import { centreOf } from '@/core/layout';
import { caretAt, indexAt, indexOnLine, lineOfIndex } from '@/core/type';
import { useDesk } from '../job/use-desk';
import { useJob } from '../job/context';
import { COLOURS } from '../shell/theme';
import type { Projection } from './view';

/** Further right than any line reaches, mm. */
const END = 1e9;

/**
 * Text typed in place. A hidden field takes the keys, so that input methods, the clipboard and screen readers work;
 * what is seen are the very glyphs that will be printed, with a caret and a selection of our own.
 */
export function Typing({ id, at }: { readonly id: string; readonly at: Projection }) {
  const { composer, piece, drawing } = useDesk();
  const side = useJob((s) => s.side);
  const replace = useJob((s) => s.edit);
  const stop = useJob((s) => s.type);
  const field = useRef<HTMLTextAreaElement>(null);
  const [range, setRange] = useState<readonly [number, number]>([0, 0]);
  const element = elementsOn(piece, side).find((e): e is ElementOf<'text'> => e.id === id && e.kind === 'text');

  useLayoutEffect(() => {
    const area = field.current;
    if (!area) return;
    area.focus({ preventScroll: true });
    area.setSelectionRange(0, area.value.length);
    setRange([0, area.value.length]);
  }, [id]);

  if (!element) return null;
  const { text, frame } = composer.element(element, drawing.boxes);
  if (!text) return null;

  const note = () => {
    const area = field.current;
    if (area) setRange([area.selectionStart, area.selectionEnd]);
  };
  const put = (from: number, to = from) => {
    field.current?.setSelectionRange(Math.min(from, to), Math.max(from, to));
    setRange([Math.min(from, to), Math.max(from, to)]);
  };
  const onChange = (value: string) => {
    replace(
      'Type',
      (draft) => {
        const target = elementsDraft(draft, side).find((e) => e.id === id);
        if (target?.kind === 'text') target.text = value;
      },
      `type-${id}`,
    );
    note();
  };
  const onKeyDown = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    event.stopPropagation();
    if (event.key === 'Escape') {
      event.preventDefault();
      stop(undefined);
      return;
    }
    // The field breaks its lines elsewhere: up, down, home and end follow the lines that are seen.
    const here = event.shiftKey && range[1] !== range[0] ? range[1] : range[0];
    const line = lineOfIndex(text, here);
    const lines = [...text.lines, ...text.hidden];
    const x = caretAt(text, here).x;
    const target =
      event.key === 'ArrowUp'
        ? line === 0 ? 0 : indexOnLine(text, line - 1, x)
        : event.key === 'ArrowDown'
          ? line >= lines.length - 1 ? element.text.length : indexOnLine(text, line + 1, x)
          : event.key === 'Home' && !event.ctrlKey
            ? (lines[line]?.from ?? 0)
            : event.key === 'End' && !event.ctrlKey
              ? indexOnLine(text, line, END)
              : undefined; // prettier-ignore
    if (target === undefined) return;
    event.preventDefault();
    put(event.shiftKey ? range[0] : target, target);
  };

  const inset = insetsOf(element.inset, drawing.boxes.measures);
  const origin = { x: frame.rect.x + inset.left, y: frame.rect.y + inset.top };
  const caret = caretAt(text, range[1]);
  const centre = centreOf(frame.rect);
  const turn = `rotate(${frame.rotate} ${at.x(centre.x)} ${at.y(centre.y)})`;
  const marked = [...text.lines, ...text.hidden].flatMap((line) => {
    const [from, to] = [Math.max(range[0], line.from), Math.min(range[1], line.to)];
    if (to <= from) return [];
    const start = caretAt(text, from).x;
    const end = to >= line.to ? line.x + line.width : caretAt(text, to).x;
    return [
      {
        x: start,
        y: line.baseline - text.ascent,
        width: Math.max(end - start, 0.3),
        height: text.ascent + text.descent,
      },
    ];
  });
  return (
    <>
      <foreignObject x={at.x(frame.rect.x)} y={at.y(frame.rect.y)} width="1" height="1" style={{ overflow: 'hidden' }}>
        <textarea
          ref={field}
          aria-label={`Text of ${frame.name}`}
          data-typing={id}
          value={element.text}
          onChange={(event) => onChange(event.target.value)}
          onSelect={note}
          onKeyDown={onKeyDown}
          onBlur={() => stop(undefined)}
          spellCheck={false}
          style={{ width: 1, height: 1, opacity: 0, border: 0, padding: 0, resize: 'none', whiteSpace: 'pre' }}
        />
      </foreignObject>
      <g transform={turn}>
        <rect
          x={at.x(frame.rect.x)}
          y={at.y(frame.rect.y)}
          width={frame.rect.width * at.scale}
          height={frame.rect.height * at.scale}
          fill="transparent"
          stroke={COLOURS.accent}
          strokeDasharray="4 3"
          style={{ cursor: 'text' }}
          onPointerDown={(event) => {
            event.preventDefault();
            event.stopPropagation();
            const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
            const p = at.toMm({ x: event.clientX - (svg?.left ?? 0), y: event.clientY - (svg?.top ?? 0) });
            field.current?.focus({ preventScroll: true });
            put(indexAt(text, p.x - origin.x, p.y - origin.y));
          }}
        />
        <g pointerEvents="none" aria-hidden>
          {marked.map((m) => (
            <rect
              key={m.y}
              x={at.x(origin.x + m.x)}
              y={at.y(origin.y + m.y)}
              width={m.width * at.scale}
              height={m.height * at.scale}
              fill={COLOURS.accent}
              fillOpacity="0.3"
            />
          ))}
          {range[0] === range[1] && (
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
    </>
  );
}
