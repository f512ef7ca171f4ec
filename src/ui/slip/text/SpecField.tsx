'use client';
import { readTypeSpec, writeTypeSpec, type ParagraphChanges, type ParagraphLook, type TypeSpec } from '@/core/job';
import { MeasureField } from '../../field/MeasureField';
import { useDesk } from '../../open-job/use-desk';
import { changesOfSpec, settableOf } from '@/core/edit';

interface Props {
  readonly label: string;
  readonly name?: string;
  readonly look: ParagraphLook;
  readonly width: number | string;
  readonly onChange: (label: string, look: ParagraphChanges) => void;
}

/** Type marked up in one line. */
export function SpecField({ label, name, look, width, onChange }: Props) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  return (
    <MeasureField<TypeSpec>
      label={label}
      {...(name && { name })}
      width={width}
      shown={writeTypeSpec(look, context)}
      placeholder="Lora italic 19/24"
      read={(text) => readTypeSpec(text, settableOf(job), context)}
      onChange={(spec) => onChange('Type', changesOfSpec(job, spec, look))}
    />
  );
}
