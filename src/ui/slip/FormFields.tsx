'use client';
import Button from '@mui/material/Button';
import { formKind, type ElementOf, type Extent, type Form, type FormField } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Opener } from './Opener';
import { Group } from './Slip';

interface Props {
  readonly element: ElementOf<'shape'>;
  readonly onChange: (form: Form) => void;
}

/** What makes up the form of a shape. */
export function FormFields({ element, onChange }: Props) {
  const { fields, behind } = formKind(element.shape.form);
  const shown = (list: readonly FormField<Form>[]) =>
    list.map((field, i) => <OneField key={i} field={field} element={element} onChange={onChange} />);
  return (
    <>
      {shown(fields)}
      {behind && (
        <Opener label={behind.label}>
          <Group title={behind.label}>{shown(behind.fields)}</Group>
        </Opener>
      )}
    </>
  );
}

function OneField({ field, element, onChange }: Props & { readonly field: FormField<Form> }) {
  const { job, rules } = useDesk();
  const edit = useJob((s) => s.editPath);
  const form = element.shape;
  switch (field.kind) {
    case 'extent':
    case 'length':
      return (
        <HeldLengthField
          unit={job.unit}
          ppi={rules.ppi.value}
          label={field.label}
          value={field.get(form)}
          width={76}
          onChange={(to: Extent) => onChange(field.put(form, to))}
          {...(field.kind === 'length' && { negative: 'allowed' })}
        />
      );
    case 'number':
      return (
        <NumberField
          label={field.label}
          value={field.get(form)}
          least={field.least}
          most={field.most}
          width={field.width}
          {...(field.whole && { whole: true })}
          {...(field.after !== undefined && { after: field.after })}
          onChange={(to) => onChange(field.put(form, to))}
        />
      );
    case 'choice':
      return (
        <ChoiceField
          label={field.label}
          width={field.width}
          value={field.get(form)}
          options={field.options.map((value) => ({ value, label: value }))}
          onChange={(to) => onChange(field.put(form, to))}
        />
      );
    case 'corners':
      return <Corners value={field.get(form)} onChange={(to) => onChange(field.put(form, to))} />;
    case 'points':
      return (
        <Button size="small" variant="outlined" onClick={() => edit(element.id)}>
          Edit points
        </Button>
      );
  }
}

type Four = readonly [Extent, Extent, Extent, Extent];

const CORNERS = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

const isFour = (radius: Extent | Four): radius is Four => Array.isArray(radius);

/** The corners of a box, all alike or each by itself. */
function Corners({
  value,
  onChange,
}: {
  readonly value: Extent | Four;
  readonly onChange: (to: Extent | Four) => void;
}) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value, width: 76 };
  const four: Four = isFour(value) ? value : [value, value, value, value];
  const corner = (i: number, to: Extent) => {
    const [tl, tr, br, bl] = four.map((radius, j) => (j === i ? to : radius));
    if (tl !== undefined && tr !== undefined && br !== undefined && bl !== undefined) onChange([tl, tr, br, bl]);
  };
  return (
    <>
      {!isFour(value) && <HeldLengthField {...context} label="corners" value={value} onChange={onChange} />}
      <Opener label={isFour(value) ? 'Four corners' : 'Each corner'}>
        <Group title="Corners">
          {CORNERS.map((name, i) => (
            <HeldLengthField
              {...context}
              key={name}
              label={name}
              value={four[i] ?? 0}
              onChange={(to: Extent) => corner(i, to)}
            />
          ))}
          {isFour(value) && (
            <Button size="small" onClick={() => onChange(four[0])}>
              All alike
            </Button>
          )}
        </Group>
      </Opener>
    </>
  );
}
