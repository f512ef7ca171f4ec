'use client';
import { ChoiceField } from '../../field/ChoiceField';

interface FromBookProps<R> {
  readonly label: string;
  readonly chosen: string;
  readonly records: readonly R[] | undefined;
  readonly onChoose: (record: R) => void;
}

/** A record of a shop book, by its name. */
export function FromBook<R extends { readonly name: string }>({ label, chosen, records, onChoose }: FromBookProps<R>) {
  const known = records ?? [];
  return (
    <ChoiceField
      label={label}
      width="100%"
      value={known.some((r) => r.name === chosen) ? chosen : ''}
      options={known.map((r) => ({ value: r.name, label: r.name }))}
      onChange={(name) => {
        const record = known.find((r) => r.name === name);
        if (record) onChoose(record);
      }}
    />
  );
}
