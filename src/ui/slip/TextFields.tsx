'use client';
import { jobFonts, readTypeSpec, writeTypeSpec, type ElementOf, type SolidPaint, type TypeSpec } from '@/core/job';
import { AUTO_LEADING, SHIPPED } from '@/core/type';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { MeasureField } from '../field/MeasureField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useDesk } from '../job/use-desk';
import { useChange } from './use-change';
import { Group } from './Slip';

const ALIGNS = [
  { value: 'left', label: 'left' },
  { value: 'centre', label: 'centre' },
  { value: 'right', label: 'right' },
  { value: 'justified', label: 'justified' },
] as const;

const CASES = [
  { value: 'typed', label: 'as typed' },
  { value: 'upper', label: 'CAPITALS' },
  { value: 'lower', label: 'small' },
  { value: 'title', label: 'Each Word' },
] as const;

/** Face, size and setting of a text. */
export function TextFields({ element }: { readonly element: ElementOf<'text'> }) {
  const change = useChange(element);
  const { job, rules, resources } = useDesk();
  const { style } = element;
  const set = (label: string, values: Partial<typeof style>) =>
    change(label, (el) => (el.kind === 'text' ? { ...el, style: { ...el.style, ...values } } : el));
  const own = [...new Set(jobFonts(job).map((f) => f.family))];
  const families = [...own, ...SHIPPED.map((f) => f.family).filter((f) => !own.includes(f))];
  const isKnown = families.includes(style.family);
  const weights = weightsOf(style.family, job);
  const settable = families.map((family) => ({ family, weights: weightsOf(family, job) }));
  const takeSpec = (spec: TypeSpec) => {
    const family = spec.family ?? style.family;
    const weight = nearest(weightsOf(family, job), spec.weight ?? style.weight);
    set('Type', { ...spec, family, weight });
  };
  const isMissing = resources.fonts.find(style.family, style.weight, style.italic) === undefined && !isKnown;
  return (
    <>
      <Group title="Type">
        <MeasureField<TypeSpec>
          label="set in"
          width={198}
          shown={writeTypeSpec(style)}
          placeholder="Lora italic 19/24"
          read={(text) => readTypeSpec(text, settable)}
          onChange={takeSpec}
        />
        <ChoiceField
          label={isMissing ? 'face (missing)' : 'face'}
          width={122}
          value={style.family}
          options={(isKnown ? families : [style.family, ...families]).map((family) => ({
            value: family,
            label: family,
          }))}
          onChange={(family) => set('Face', { family, weight: nearest(weightsOf(family, job), style.weight) })}
        />
        <ChoiceField
          label="weight"
          width={58}
          value={String(nearest(weights, style.weight))}
          options={weights.map((w) => ({ value: String(w), label: String(w) }))}
          onChange={(weight) => set('Weight', { weight: Number(weight) })}
        />
        <NumberField
          label="size"
          name="type-size"
          value={style.sizePt}
          least={0.5}
          most={5000}
          width={62}
          after=" pt"
          onChange={(sizePt) => set('Size', { sizePt })}
        />
        <NumberField
          label={style.leadingPt === null ? 'lead. (auto)' : 'leading'}
          name="leading"
          value={style.leadingPt ?? style.sizePt * AUTO_LEADING}
          least={0.5}
          most={10_000}
          width={74}
          after=" pt"
          onChange={(leadingPt) => set('Leading', { leadingPt })}
        />
        <NumberField
          label="tracking"
          value={style.tracking}
          least={-500}
          most={5000}
          width={48}
          onChange={(tracking) => set('Tracking', { tracking })}
        />
        <SolidPaintField
          label="ink"
          value={style.paint}
          onChange={(paint: SolidPaint | null) => paint && set('Ink', { paint })}
        />
        <ChoiceField
          label="lines"
          width={80}
          value={style.align}
          options={ALIGNS}
          onChange={(align) => set('Align', { align })}
        />
      </Group>
      <Group title="Setting">
        <ChoiceField
          label="stands"
          width={72}
          value={element.vertical}
          options={[
            { value: 'top', label: 'top' },
            { value: 'middle', label: 'middle' },
            { value: 'bottom', label: 'bottom' },
          ]}
          onChange={(vertical) => change('Vertical', (el) => (el.kind === 'text' ? { ...el, vertical } : el))}
        />
        <ChoiceField
          label="case"
          width={88}
          value={style.case}
          options={CASES}
          onChange={(to) => set('Case', { case: to })}
        />
        <HeldLengthField
          label="inset"
          value={element.inset.top}
          unit={job.unit}
          ppi={rules.ppi.value}
          width={58}
          onChange={(mm) =>
            change('Inset', (el) =>
              el.kind === 'text' ? { ...el, inset: { top: mm, right: mm, bottom: mm, left: mm } } : el,
            )
          }
        />
        <CheckField label="italic" checked={style.italic} onChange={(italic) => set('Italic', { italic })} />
        <CheckField
          label="hyphenate"
          checked={style.hyphenate}
          onChange={(hyphenate) => set('Hyphenation', { hyphenate })}
        />
      </Group>
    </>
  );
}

function weightsOf(family: string, job: ReturnType<typeof useDesk>['job']): readonly number[] {
  const own = jobFonts(job)
    .filter((f) => f.family === family)
    .map((f) => f.weight);
  const shipped = SHIPPED.find((f) => f.family === family)?.weights ?? [];
  const all = [...new Set([...own, ...shipped])].sort((a, b) => a - b);
  return all.length > 0 ? all : [400];
}

const nearest = (weights: readonly number[], to: number): number =>
  [...weights].sort((a, b) => Math.abs(a - to) - Math.abs(b - to))[0] ?? to;
