'use client';
import { BUBBLE_SIDES, RIBBON_ENDS, type ElementOf, type Extent, type Form, type Length } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import Button from '@mui/material/Button';
import { Opener } from './Opener';
import { Group } from './Slip';

const words = <T extends string>(values: readonly T[]) => values.map((value) => ({ value, label: value }));

/** What makes up the form of a shape. */
export function FormFields({
  element,
  onChange,
}: {
  readonly element: ElementOf<'shape'>;
  readonly onChange: (form: Form) => void;
}) {
  const { job, rules } = useDesk();
  const edit = useJob((s) => s.editPath);
  const form = element.shape;
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const length = (label: string, value: Length, put: (to: Extent) => void, negative?: 'allowed') => (
    <HeldLengthField
      key={label}
      {...context}
      label={label}
      value={value}
      width={76}
      onChange={put}
      {...(negative && { negative })}
    />
  );
  const count = (label: string, value: number, least: number, put: (to: number) => void) => (
    <NumberField label={label} value={value} least={least} most={100} whole width={58} onChange={put} />
  );
  switch (form.form) {
    case 'rectangle': {
      const { radius } = form;
      const four = Array.isArray(radius) ? radius : ([radius, radius, radius, radius] as const);
      const corner = (i: 0 | 1 | 2 | 3, to: Extent) => {
        const next: [Extent, Extent, Extent, Extent] = [four[0], four[1], four[2], four[3]];
        next[i] = to;
        onChange({ ...form, radius: next });
      };
      return (
        <>
          {!Array.isArray(radius) && length('corners', radius, (to) => onChange({ ...form, radius: to }))}
          <Opener label={Array.isArray(radius) ? 'Four corners' : 'Each corner'}>
            <Group title="Corners">
              {(['top left', 'top right', 'bottom right', 'bottom left'] as const).map((name, i) =>
                length(name, four[i as 0 | 1 | 2 | 3], (to) => corner(i as 0 | 1 | 2 | 3, to)),
              )}
              {Array.isArray(radius) && (
                <Button size="small" onClick={() => onChange({ ...form, radius: four[0] })}>
                  All alike
                </Button>
              )}
            </Group>
          </Opener>
        </>
      );
    }
    case 'ellipse':
      return null;
    case 'polygon':
      return count('sides', form.sides, 3, (sides) => onChange({ ...form, sides }));
    case 'star':
      return (
        <>
          {count('points', form.points, 3, (points) => onChange({ ...form, points }))}
          <NumberField
            label="inner"
            value={form.inner}
            least={1}
            most={100}
            width={62}
            after=" %"
            onChange={(inner) => onChange({ ...form, inner })}
          />
        </>
      );
    case 'arc':
      return (
        <>
          <NumberField
            label="from"
            value={form.from}
            least={-360}
            most={360}
            width={62}
            after="°"
            onChange={(from) => onChange({ ...form, from })}
          />
          <NumberField
            label="sweep"
            value={form.sweep}
            least={-360}
            most={360}
            width={62}
            after="°"
            onChange={(sweep) => onChange({ ...form, sweep })}
          />
          <ChoiceField
            label="ends"
            width={84}
            value={form.ends}
            options={words(['open', 'chord', 'pie'] as const)}
            onChange={(ends) => onChange({ ...form, ends })}
          />
        </>
      );
    case 'arrow':
      return (
        <>
          {length('shaft', form.shaft, (shaft) => onChange({ ...form, shaft }))}
          {length('head', form.head, (head) => onChange({ ...form, head }))}
          {length('bend', form.bend, (bend) => onChange({ ...form, bend }), 'allowed')}
          <ChoiceField
            label="tail"
            width={92}
            value={form.tail}
            options={words(['plain', 'notched', 'head'] as const)}
            onChange={(tail) => onChange({ ...form, tail })}
          />
        </>
      );
    case 'ribbon':
      return (
        <>
          <ChoiceField
            label="left end"
            width={92}
            value={form.left}
            options={words(RIBBON_ENDS)}
            onChange={(left) => onChange({ ...form, left })}
          />
          <ChoiceField
            label="right end"
            width={92}
            value={form.right}
            options={words(RIBBON_ENDS)}
            onChange={(right) => onChange({ ...form, right })}
          />
          {length('depth', form.depth, (depth) => onChange({ ...form, depth }))}
        </>
      );
    case 'bubble':
      return (
        <>
          {length('corners', form.radius, (radius) => onChange({ ...form, radius }))}
          <Opener label="Tail">
            <Group title="Tail">
              <ChoiceField
                label="side"
                width={92}
                value={form.side}
                options={words(BUBBLE_SIDES)}
                onChange={(side) => onChange({ ...form, side })}
              />
              <NumberField
                label="at"
                value={form.at}
                least={0}
                most={100}
                width={62}
                after=" %"
                onChange={(at) => onChange({ ...form, at })}
              />
              {length('root', form.width, (width) => onChange({ ...form, width }))}
              {length('length', form.length, (long) => onChange({ ...form, length: long }))}
              {length('lean', form.lean, (lean) => onChange({ ...form, lean }), 'allowed')}
            </Group>
          </Opener>
        </>
      );
    case 'path':
      return (
        <Button size="small" variant="outlined" onClick={() => edit(element.id)}>
          Edit points
        </Button>
      );
  }
}
