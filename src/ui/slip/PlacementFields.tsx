'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { AxisKey, BoxRef, Element, Len } from '@/core/job';
import { boxName, boxRect, factsOf, heldKeys, restate, solve, spanX, spanY, type SurfaceBoxes } from '@/core/layout';
import { formatLength, formatNumber, parseLength, type Parsed } from '@/core/measure';
import { MeasureField } from '../field/MeasureField';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';
import { withElements } from '../job/store';
import { Group } from './Slip';

const WORDS: Readonly<Record<'x' | 'y', Readonly<Record<AxisKey, string>>>> = {
  x: { start: 'left', centre: 'off centre', end: 'right', size: 'width' },
  y: { start: 'top', centre: 'off centre', end: 'bottom', size: 'height' },
};

/** Lines between the fields of one axis, in reading order. */
const ORDER: readonly AxisKey[] = ['start', 'size', 'end', 'centre'];

/**
 * Where an element stands. On each axis two facts hold it (written bold, underlined twice); writing another one makes
 * it hold instead. A size that held keeps holding.
 */
export function PlacementFields({ element }: { readonly element: Element }) {
  const { surface } = useDesk();
  const { boxes } = surface;
  const change = useChange(element);
  const { placement } = element;
  return (
    <>
      <Group title="Against">
        <TextField
          select
          label="box"
          sx={{ width: 84 }}
          value={JSON.stringify(placement.against)}
          onChange={(event) => {
            const to = JSON.parse(event.target.value) as BoxRef;
            change('Hold against another box', (el) => ({ ...el, placement: restate(el.placement, to, boxes) }));
          }}
          slotProps={{ inputLabel: { shrink: true } }}
        >
          {choices(boxes, placement.against).map((ref) => (
            <MenuItem key={JSON.stringify(ref)} value={JSON.stringify(ref)} dense>
              {boxName(ref)}
            </MenuItem>
          ))}
        </TextField>
      </Group>
      <AxisFields element={element} axis="x" />
      <AxisFields element={element} axis="y" />
    </>
  );
}

/** Changes the element as one step. */
export function useChange(element: Element) {
  const replace = useJob((s) => s.replace);
  const side = useJob((s) => s.side);
  const job = useJob((s) => s.job);
  return (label: string, change: (el: Element) => Element) =>
    replace(
      label,
      withElements(job, side, (el) => (el.id === element.id ? change(el) : el)),
    );
}

function AxisFields({ element, axis }: { readonly element: Element; readonly axis: 'x' | 'y' }) {
  const { surface, job, rules } = useDesk();
  const change = useChange(element);
  const { placement } = element;
  const box = boxRect(placement.against, surface.boxes);
  const rect = solve(placement, surface.boxes);
  const [span, room] = axis === 'x' ? [spanX(rect), spanX(box)] : [spanY(rect), spanY(box)];
  const facts = factsOf(span, room);
  const held = heldKeys(placement[axis]);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const set = (key: AxisKey, value: Len) => {
    const partner = held.includes(key)
      ? (held.find((k) => k !== key) ?? 'size')
      : key !== 'size' && held.includes('size')
        ? 'size'
        : held[0];
    const kept = placement[axis][partner] ?? facts[partner];
    change('Place', (el) => ({ ...el, placement: { ...el.placement, [axis]: { [key]: value, [partner]: kept } } }));
  };
  return (
    <Group title={axis === 'x' ? 'Across' : 'Down'}>
      {ORDER.map((key) => {
        const given = placement[axis][key];
        const shown =
          typeof given === 'object'
            ? `${formatNumber(given.percent)} %`
            : formatLength(facts[key], job.unit, context.ppi);
        return (
          <MeasureField<Len>
            key={key}
            label={WORDS[axis][key]}
            name={`${axis}-${WORDS[axis][key]}`}
            held={held.includes(key)}
            width={70}
            shown={shown}
            read={(text) => readLen(text, context)}
            refuse={(len) =>
              key === 'size' && (typeof len === 'number' ? len : len.percent) < 0
                ? 'A size cannot be negative.'
                : undefined
            }
            onChange={(len) => set(key, len)}
          />
        );
      })}
    </Group>
  );
}

/** A length, or a share of the box: `50 %`. */
function readLen(text: string, context: Parameters<typeof parseLength>[1]): Parsed<Len> {
  const share = /^\s*(-?\d+(?:[.,]\d+)?)\s*%\s*$/.exec(text);
  if (share?.[1]) {
    const percent = Number(share[1].replace(',', '.'));
    if (Math.abs(percent) <= 1000) return { ok: true, value: { percent } };
    return { ok: false, error: { at: 0, length: text.length, message: 'At most 1000 % of the box.' } };
  }
  return parseLength(text, context);
}

/** Boxes an element can be held against: the plain ones, each column and row, and the span it has now. */
function choices(boxes: SurfaceBoxes, now: BoxRef): readonly BoxRef[] {
  const found: BoxRef[] = [{ box: 'trim' }, { box: 'safe' }, { box: 'bleed' }];
  const { columns, rows } = boxes;
  if (columns.length > 1) {
    columns.forEach((_, i) => found.push({ box: 'columns', from: i + 1, to: i + 1 }));
    for (let span = 2; span < columns.length; span += 1) {
      for (let from = 1; from + span - 1 <= columns.length; from += 1)
        found.push({ box: 'columns', from, to: from + span - 1 });
    }
  }
  if (rows.length > 1) rows.forEach((_, i) => found.push({ box: 'rows', from: i + 1, to: i + 1 }));
  return found.some((ref) => JSON.stringify(ref) === JSON.stringify(now)) ? found : [...found, now];
}
