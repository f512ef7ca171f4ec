'use client';
import { useMemo } from 'react';
import {
  elementsOn,
  isMeasureRef,
  readFact,
  sizeProblem,
  writeLength,
  type Axis,
  type AxisKey,
  type Element,
  type Len,
} from '@/core/job';
import { nameOf } from '@/core/element';
import { readSaid, withElements, withSaid, writeSaid } from '@/core/edit';
import { factsOf, heldKeys, restate, restateAxis, roomOf, spanX, spanY, withFact } from '@/core/layout';
import { formatLength, formatNumber, type Parsed } from '@/core/measure';
import { MeasureField } from '../field/MeasureField';
import { useMeasures } from '../field/measures';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { BoxField } from './BoxField';
import { boxChoices, dependants } from '@/core/edit';
import { Group } from './Slip';
import { useChange } from './use-change';

const WORDS: Readonly<Record<'x' | 'y', Readonly<Record<AxisKey, string>>>> = {
  x: { start: 'left', centre: 'off centre', end: 'right', size: 'width' },
  y: { start: 'top', centre: 'off centre', end: 'bottom', size: 'height' },
};

/** As wide as the slip, px. */
const LINE = 308;

/** Lines between the fields of one axis, in reading order. */
const ORDER: readonly AxisKey[] = ['start', 'size', 'end', 'centre'];

/**
 * Where an element stands. On each axis two facts hold it (written bold, underlined twice); writing another one makes
 * it hold instead. A size that held keeps holding.
 */
export function PlacementFields({ element }: { readonly element: Element }) {
  const { drawing } = useDesk();
  const { boxes } = drawing;
  const change = useChange(element);
  const { placement, id } = element;
  const rect = boxes.placed[id];
  if (!rect) return null;
  return (
    <>
      <Group title="Against">
        <BoxField
          label="box"
          value={placement.against}
          element={id}
          width={200}
          onChange={(to) =>
            change('Hold against another box', (el) => ({ ...el, placement: restate(el.placement, to, boxes, rect) }))
          }
        />
        <SaidLine element={element} />
      </Group>
      <AxisFields element={element} axis="x" />
      <AxisFields element={element} axis="y" />
    </>
  );
}

/** A box for each axis by itself. */
export function AxisBoxes({ element }: { readonly element: Element }) {
  const { boxes } = useDesk().drawing;
  const change = useChange(element);
  const { placement, id } = element;
  const rect = boxes.placed[id];
  if (!rect) return null;
  return (
    <Group title="A box of its own">
      {(['x', 'y'] as const).map((axis) => (
        <BoxField
          key={axis}
          label={axis === 'x' ? 'across' : 'down'}
          value={placement[axis].of ?? placement.against}
          element={id}
          width={180}
          onChange={(to) =>
            change('Hold against another box', (el) => ({
              ...el,
              placement: restateAxis(el.placement, axis, to, boxes, rect),
            }))
          }
        />
      ))}
    </Group>
  );
}

/** Where it stands and how it looks in one line, as one would say it; what is left out stays. */
function SaidLine({ element }: { readonly element: Element }) {
  const { drawing, job, rules, piece } = useDesk();
  const side = useJob((s) => s.side);
  const measures = useMeasures();
  const change = useJob((s) => s.change);
  const { id } = element;
  const { boxes } = drawing;
  const rect = boxes.placed[id];
  const named = useMemo(
    () => boxChoices(boxes, dependants(id, elementsOn(piece, side), piece.grids)),
    [boxes, id, piece, side],
  );
  if (!rect) return null;
  const context = { unit: job.unit, ppi: rules.ppi.value, boxes, named, measures, rect };
  return (
    <MeasureField
      label="in one line"
      name="said"
      width={LINE}
      isLong
      shown={writeSaid(job, element, context)}
      read={(text) => readSaid(text, job, element, context)}
      onChange={(said) =>
        change(`Say what ${nameOf(element)} is`, (now) =>
          withElements(now, side, (el) => (el.id === id ? withSaid(now, el, said) : el)),
        )
      }
    />
  );
}

function AxisFields({ element, axis }: { readonly element: Element; readonly axis: 'x' | 'y' }) {
  const { drawing, job, rules } = useDesk();
  const measures = useMeasures();
  const change = useChange(element);
  const { placement } = element;
  const rect = drawing.boxes.placed[element.id];
  if (!rect) return null;
  const facts = factsOf(axis === 'x' ? spanX(rect) : spanY(rect), roomOf(placement, axis, drawing.boxes));
  const held = heldKeys(placement[axis]);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const show = (key: AxisKey): string => {
    const given = placement[axis][key];
    if (given === 'content') return 'content';
    if (isMeasureRef(given)) return writeLength(given, context.unit, context.ppi, measures);
    if (typeof given === 'object') return `${formatNumber(given.percent)} %`;
    return formatLength(facts[key], job.unit, context.ppi);
  };
  const set = (key: AxisKey, value: Len | 'content' | undefined) => {
    const { of } = placement[axis];
    // An emptied size lets go: both edges hold, where they are.
    const edges = { start: placement[axis].start ?? facts.start, end: placement[axis].end ?? facts.end };
    if (value === undefined) return write({ ...edges, ...(of && { of }) });
    write(withFact(placement[axis], facts, key, value));
  };
  const write = (next: Axis) => change('Place', (el) => ({ ...el, placement: { ...el.placement, [axis]: next } }));
  return (
    <Group title={axis === 'x' ? 'Across' : 'Down'}>
      {ORDER.map((key) => (
        <MeasureField<Len | 'content' | undefined>
          key={key}
          label={WORDS[axis][key]}
          name={`${axis}-${WORDS[axis][key]}`}
          held={held.includes(key)}
          width={71}
          shown={show(key)}
          read={(text) =>
            (key === 'size' && SIZE_WORDS[text.trim().toLowerCase()]) || readFact(text, context, measures)
          }
          refuse={(len) =>
            key === 'size' && len !== undefined && len !== 'content'
              ? sizeProblem(len, element.kind === 'line')
              : undefined
          }
          onChange={(len) => set(key, len)}
        />
      ))}
    </Group>
  );
}

/** What may stand for a size: nothing, when both edges are to hold; what the text or picture takes. */
const SIZE_WORDS: Readonly<Record<string, Parsed<'content' | undefined>>> = {
  '': { ok: true, value: undefined },
  content: { ok: true, value: 'content' },
};
