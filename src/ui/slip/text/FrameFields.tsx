'use client';
import { elementsOf, elementsOn, type ElementOf, type TypeFit } from '@/core/job';
import { CheckField } from '../../field/CheckField';
import { ChoiceField } from '../../field/ChoiceField';
import { HeldLengthField } from '../../field/LengthField';
import { NumberField } from '../../field/NumberField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { Group } from '../Slip';
import { useChange } from '../use-change';
import { withFlow } from '@/core/edit';
import { nameOf } from '@/core/element';

type Text = ElementOf<'text'>;

const FITS = [
  { value: 'none', label: 'as it is' },
  { value: 'width by size', label: 'width, by size' },
  { value: 'width by tracking', label: 'width, by tracking' },
  { value: 'width by scale', label: 'width, by stretching' },
  { value: 'frame', label: 'frame' },
  { value: 'lines', label: 'number of lines' },
] as const;
type FitName = (typeof FITS)[number]['value'];

const fitName = (fit: TypeFit | null): FitName =>
  fit === null ? 'none' : fit.to === 'width' ? `width by ${fit.by}` : fit.to;

function fitOf(name: FitName): TypeFit | null {
  switch (name) {
    case 'none':
      return null;
    case 'width by size':
      return { to: 'width', by: 'size' };
    case 'width by tracking':
      return { to: 'width', by: 'tracking' };
    case 'width by scale':
      return { to: 'width', by: 'scale' };
    case 'frame':
      return { to: 'frame', least: 90, most: 100 };
    case 'lines':
      return { to: 'lines', lines: 1 };
  }
}

interface Props {
  readonly element: Text;
}

/** How text stands in its frame, what it is fitted to, and where it comes from. */
export function FrameFields({ element }: Props) {
  return (
    <>
      <InFrame element={element} />
      <FitFields element={element} />
      <AlongFields element={element} />
      <FlowFields element={element} />
    </>
  );
}

/** Sets facts of a text. */
function useFacts(element: Text) {
  const change = useChange(element);
  return (label: string, values: Partial<Text>) =>
    change(label, (el) => (el.kind === 'text' ? { ...el, ...values } : el));
}

function InFrame({ element }: Props) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const set = useFacts(element);
  return (
    <Group title="Frame">
      <ChoiceField
        label="stands"
        width={92}
        value={element.vertical}
        options={[
          { value: 'top', label: 'top' },
          { value: 'middle', label: 'middle' },
          { value: 'bottom', label: 'bottom' },
          { value: 'spread', label: 'spread' },
        ]}
        onChange={(vertical) => set('Vertical', { vertical })}
      />
      <HeldLengthField
        label="inset"
        value={element.inset.top}
        {...context}
        width={66}
        onChange={(mm) => set('Inset', { inset: { top: mm, right: mm, bottom: mm, left: mm } })}
      />
      <NumberField
        label="columns"
        name="text-columns"
        value={element.columns}
        least={1}
        most={20}
        whole
        width={66}
        onChange={(columns) => set('Columns', { columns })}
      />
      <HeldLengthField
        label="between"
        name="column-gap"
        value={element.columnGap}
        {...context}
        width={70}
        onChange={(columnGap) => set('Column gap', { columnGap })}
      />
      <CheckField
        label="columns level"
        checked={element.balance}
        onChange={(balance) => set('Level columns', { balance })}
      />
    </Group>
  );
}

function FitFields({ element }: Props) {
  const { fit } = element;
  const set = useFacts(element);
  return (
    <Group title="Fitted to">
      <ChoiceField
        label="fitted to"
        width={150}
        value={fitName(fit)}
        options={FITS}
        onChange={(name) => set('Fit', { fit: fitOf(name) })}
      />
      {fit?.to === 'lines' && (
        <NumberField
          label="lines"
          name="fit-lines"
          value={fit.lines}
          least={1}
          most={100}
          whole
          width={66}
          onChange={(lines) => set('Fit', { fit: { ...fit, lines } })}
        />
      )}
      {fit?.to === 'frame' && (
        <NumberField
          label="least"
          name="fit-least"
          value={fit.least}
          least={10}
          most={100}
          width={70}
          after=" %"
          onChange={(least) => set('Fit', { fit: { ...fit, least } })}
        />
      )}
      {fit?.to === 'frame' && (
        <NumberField
          label="most"
          name="fit-most"
          value={fit.most}
          least={100}
          most={1000}
          width={70}
          after=" %"
          onChange={(most) => set('Fit', { fit: { ...fit, most } })}
        />
      )}
    </Group>
  );
}

function AlongFields({ element }: Props) {
  const { job, piece, rules } = useDesk();
  const side = useJob((s) => s.side);
  const set = useFacts(element);
  const { along } = element;
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const shapes = elementsOn(piece, side).filter((e) => e.kind === 'shape');
  return (
    <Group title="Along an outline">
      <ChoiceField
        label="along"
        width={150}
        value={along?.shape ?? ''}
        options={[{ value: '', label: 'straight lines' }, ...shapes.map((s) => ({ value: s.id, label: nameOf(s) }))]}
        onChange={(shape) =>
          set('Along', {
            along: shape === '' ? null : { start: 0, side: 'outside', anchor: 'centre', ...along, shape },
          })
        }
      />
      {along && (
        <HeldLengthField
          label="further on"
          name="along-start"
          value={along.start}
          {...context}
          negative="allowed"
          width={84}
          onChange={(start) => set('Along', { along: { ...along, start } })}
        />
      )}
      {along && (
        <ChoiceField
          label="side"
          width={92}
          value={along.side}
          options={[
            { value: 'outside', label: 'outside' },
            { value: 'inside', label: 'inside' },
          ]}
          onChange={(to) => set('Along', { along: { ...along, side: to } })}
        />
      )}
      {along && (
        <ChoiceField
          label="words from"
          width={92}
          value={along.anchor}
          options={[
            { value: 'centre', label: 'their middle' },
            { value: 'start', label: 'their start' },
          ]}
          onChange={(anchor) => set('Along', { along: { ...along, anchor } })}
        />
      )}
    </Group>
  );
}

function FlowFields({ element }: Props) {
  const { job, piece } = useDesk();
  const changeJob = useJob((s) => s.change);
  const texts = elementsOf(piece).filter(({ element: e }) => e.kind === 'text' && e.id !== element.id);
  const several = new Set(texts.map((t) => t.side)).size > 1;
  if (texts.length === 0) return null;
  return (
    <Group title="Text flows in">
      <ChoiceField
        label="from"
        width={190}
        value={element.after ?? ''}
        options={[
          { value: '', label: 'nowhere' },
          ...texts.map((t) => ({
            value: t.element.id,
            label: several ? `${nameOf(t.element)} (${t.side})` : nameOf(t.element),
          })),
        ]}
        refuse={(from) =>
          withFlow(job, piece.id, element.id, from || null) ? undefined : 'That text flows in from here already.'
        }
        onChange={(from) => changeJob('Flow', (now) => withFlow(now, piece.id, element.id, from || null) ?? now)}
      />
    </Group>
  );
}
