'use client';
import { columnsOf } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { useDesk } from '../open-job/use-desk';

interface Props {
  readonly label: string;
  /** What is chosen where no column is. */
  readonly none: string;
  readonly value: string | undefined;
  readonly onChange: (column: string | undefined) => void;
}

/** A column of the job’s records; nothing where all copies are alike. */
export function ColumnField({ label, none, value, onChange }: Props) {
  const columns = columnsOf(useDesk().job);
  if (columns.length === 0) return null;
  return (
    <ChoiceField
      label={label}
      width={130}
      value={value ?? ''}
      options={[{ value: '', label: none }, ...columns.map((column) => ({ value: column, label: column }))]}
      onChange={(column) => onChange(column === '' ? undefined : column)}
    />
  );
}
