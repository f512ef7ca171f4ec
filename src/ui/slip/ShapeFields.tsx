'use client';
import type { ElementOf } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { PaintField } from '../field/PaintField';
import { AtTrim } from './AtTrim';
import { FormFields } from './FormFields';
import { Group } from './Slip';
import { StrokeFields } from './StrokeFields';
import { useChange } from './use-change';
import { isClosed } from '@/core/element';

/** Form, fill and stroke of a shape. */
export function ShapeFields({ element }: { readonly element: ElementOf<'shape'> }) {
  const change = useChange(element);
  const patch = (label: string, values: Partial<ElementOf<'shape'>>) =>
    change(label, (el) => (el.kind === 'shape' ? { ...el, ...values } : el));
  return (
    <>
      <Group title="Fill">
        <PaintField
          label="paint"
          value={element.fill}
          none="None"
          gradient
          onChange={(fill) => patch('Fill', { fill })}
        />
        <FormFields element={element} onChange={(shape) => patch('Form', { shape })} />
        <AtTrim element={element} />
      </Group>
      <StrokeFields
        title="Stroke"
        stroke={element.stroke}
        none="None"
        closed={isClosed(element.shape)}
        onChange={(stroke) => patch('Stroke', { stroke })}
      />
    </>
  );
}

/** A line’s ink, width, form and run. */
export function LineFields({ element }: { readonly element: ElementOf<'line'> }) {
  const change = useChange(element);
  const patch = (label: string, values: Partial<ElementOf<'line'>>) =>
    change(label, (el) => (el.kind === 'line' ? { ...el, ...values } : el));
  return (
    <>
      <StrokeFields
        title="Line"
        stroke={element.stroke}
        closed={false}
        onChange={(stroke) => stroke && patch('Stroke', { stroke })}
      />
      <Group title="Run">
        <ChoiceField
          label="runs"
          width={84}
          value={element.slope}
          options={[
            { value: 'down', label: 'down' },
            { value: 'up', label: 'up' },
          ]}
          onChange={(slope) => patch('Slope', { slope })}
        />
      </Group>
    </>
  );
}
