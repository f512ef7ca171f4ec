'use client';
import { DATE_FORMS, elementsOn, type Element, type ElementOf } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { CheckField } from '../field/CheckField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { BLEND_OPTIONS } from './EffectFields';
import { Opener } from './Opener';
import { Group } from './Slip';
import { useChange } from './use-change';
import { nameOf } from '@/core/element';

const FIXED = { value: 'fixed', label: 'is fixed' };

/** What a slot may be, by the kind of element. */
const SLOTS = {
  text: [
    FIXED,
    { value: 'text', label: 'other words' },
    ...DATE_FORMS.map((form) => ({ value: form, label: `a date, ${form}` })),
  ],
  picture: [FIXED, { value: 'picture', label: 'another picture' }],
};

const slotWords = ({ slot }: ElementOf<'text'> | ElementOf<'picture'>): string =>
  slot === undefined ? FIXED.value : slot.takes === 'date' ? slot.form : slot.takes;

function withSlot(element: Element, to: string): Element {
  if (element.kind !== 'text' && element.kind !== 'picture') return element;
  const rest = { ...element };
  delete rest.slot;
  if (to === FIXED.value) return rest;
  if (rest.kind === 'picture') return { ...rest, slot: { takes: 'picture', open: false } };
  const form = DATE_FORMS.find((f) => f === to);
  return { ...rest, slot: form ? { takes: 'date', form, date: null, open: false } : { takes: 'text', open: false } };
}

/** Opacity, mixing, turn and lean; the layer it lies on, and the shape it is seen through. */
export function WholeFields({ element }: { readonly element: Element }) {
  const change = useChange(element);
  const { piece, job, rules } = useDesk();
  const side = useJob((s) => s.side);
  const shapes = elementsOn(piece, side).filter((e) => e.kind === 'shape' && e.id !== element.id);
  const { rotate, shear } = element.placement;
  const pose = (label: string, values: Partial<Element['placement']>) =>
    change(label, (el) => ({ ...el, placement: { ...el.placement, ...values } }));
  const set = (
    label: string,
    values: Partial<Pick<Element, 'opacity' | 'blend' | 'layer' | 'clipTo' | 'wrap' | 'unprinted'>>,
  ) => change(label, (el) => ({ ...el, ...values }));
  const further =
    Number(element.blend !== 'normal') +
    Number(shear !== 0) +
    Number(element.clipTo !== null) +
    Number(element.wrap !== null) +
    Number(element.unprinted === true) +
    Number('slot' in element && element.slot !== undefined);
  return (
    <>
      <NumberField
        label="opacity"
        value={Math.round(element.opacity * 1000) / 10}
        least={0}
        most={100}
        width={60}
        after=" %"
        onChange={(p) => set('Opacity', { opacity: p / 100 })}
      />
      <NumberField
        label="turn"
        value={rotate}
        least={-360}
        most={360}
        width={56}
        after="°"
        onChange={(to) => pose('Turn', { rotate: to })}
      />
      <Opener label="More" count={further} width={440}>
        <Group title="The whole of it">
          <NumberField
            label="lean"
            value={shear}
            least={-80}
            most={80}
            width={56}
            after="°"
            onChange={(to) => pose('Lean', { shear: to })}
          />
          <ChoiceField
            label="mixes"
            width={104}
            value={element.blend}
            options={BLEND_OPTIONS}
            onChange={(blend) => set('Mix', { blend })}
          />
          <CheckField
            label="not printed: for lines and coatings to follow"
            checked={element.unprinted === true}
            onChange={(on) => set('Printed', { unprinted: on ? true : undefined })}
          />
          <ChoiceField
            label="layer"
            width={120}
            value={element.layer}
            options={piece.layers.map((l) => ({ value: l.id, label: l.name }))}
            onChange={(layer) => set('Layer', { layer })}
          />
          <ChoiceField
            label="seen through"
            width={130}
            value={element.clipTo ?? ''}
            options={[{ value: '', label: 'nothing' }, ...shapes.map((s) => ({ value: s.id, label: nameOf(s) }))]}
            onChange={(to) => set('Clip', { clipTo: to === '' ? null : to })}
          />
          <CheckField
            label="text keeps off it"
            checked={element.wrap !== null}
            onChange={(on) => set('Wrap', { wrap: on ? 3 : null })}
          />
          {(element.kind === 'text' || element.kind === 'picture') && (
            <ChoiceField
              label="in a template"
              width={170}
              value={slotWords(element)}
              options={SLOTS[element.kind]}
              onChange={(to) => change('Slot', (el) => withSlot(el, to))}
            />
          )}
          {element.wrap !== null && (
            <HeldLengthField
              label="by"
              name="wrap"
              value={element.wrap}
              unit={job.unit}
              ppi={rules.ppi.value}
              width={74}
              onChange={(wrap) => set('Wrap', { wrap })}
            />
          )}
        </Group>
      </Opener>
    </>
  );
}
