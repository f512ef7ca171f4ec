'use client';
import type { Element, ElementOf } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { PaintField } from '../field/PaintField';
import { useDesk } from '../job/use-desk';
import { AtTrim } from './AtTrim';
import { useChange } from './PlacementFields';
import { Group } from './Slip';

const DASHES = [
  { value: 'solid', label: 'solid' },
  { value: 'dashed', label: 'dashed' },
  { value: 'dotted', label: 'dotted' },
] as const;

/** Fill and stroke of a box or an oval. */
export function ShapeFields({ element }: { readonly element: ElementOf<'rectangle' | 'ellipse'> }) {
  const change = useChange(element);
  const { job, rules } = useDesk();
  const patch = (label: string, values: Partial<ElementOf<'rectangle'>>) =>
    change(label, (el) => ({ ...el, ...values }) as Element);
  const stroke = element.stroke;
  return (
    <>
      <Group title="Fill">
        <PaintField label="paint" value={element.fill} none="None" onChange={(fill) => patch('Fill', { fill })} />
        {element.kind === 'rectangle' && (
          <>
            <LengthField
              label="corners"
              value={element.radius}
              unit={job.unit}
              ppi={rules.ppi.value}
              width={76}
              onChange={(radius) => patch('Round corners', { radius })}
            />
            <AtTrim element={element} />
          </>
        )}
      </Group>
      <Group title="Stroke">
        <PaintField
          label="paint"
          value={stroke?.paint ?? null}
          none="None"
          onChange={(paint) =>
            patch('Stroke', {
              stroke: paint && { widthPt: stroke?.widthPt ?? 1, dash: stroke?.dash ?? 'solid', paint },
            })
          }
        />
        {stroke && (
          <>
            <NumberField
              label="width"
              name="stroke-width"
              value={stroke.widthPt}
              least={0.01}
              most={500}
              width={76}
              after=" pt"
              onChange={(widthPt) => patch('Stroke', { stroke: { ...stroke, widthPt } })}
            />
            <ChoiceField
              label="form"
              width={84}
              value={stroke.dash}
              options={DASHES}
              onChange={(dash) => patch('Stroke', { stroke: { ...stroke, dash } })}
            />
          </>
        )}
      </Group>
    </>
  );
}

/** A line’s ink, width, form and run. */
export function LineFields({ element }: { readonly element: ElementOf<'line'> }) {
  const change = useChange(element);
  const { stroke } = element;
  const set = (values: Partial<typeof stroke>) =>
    change('Stroke', (el) => (el.kind === 'line' ? { ...el, stroke: { ...el.stroke, ...values } } : el));
  return (
    <Group title="Line">
      <PaintField label="paint" value={stroke.paint} onChange={(paint) => paint && set({ paint })} />
      <NumberField
        label="width"
        name="stroke-width"
        value={stroke.widthPt}
        least={0.01}
        most={500}
        width={76}
        after=" pt"
        onChange={(widthPt) => set({ widthPt })}
      />
      <ChoiceField label="form" width={84} value={stroke.dash} options={DASHES} onChange={(dash) => set({ dash })} />
      <ChoiceField
        label="runs"
        width={84}
        value={element.slope}
        options={[
          { value: 'down', label: 'down' },
          { value: 'up', label: 'up' },
        ]}
        onChange={(slope) => change('Slope', (el) => (el.kind === 'line' ? { ...el, slope } : el))}
      />
    </Group>
  );
}
