'use client';
import Button from '@mui/material/Button';
import { readLength, writeLength, elementsOn, type Group as GroupOf, type Row } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { MeasureField } from '../field/MeasureField';
import { useMeasures } from '../field/measures';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { groupOf, groupSelection, ungroupSelection, withGroup } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { BoxField } from './BoxField';
import { Group } from './Slip';

/** What several elements are together: a group, and a row at equal or given gaps. */
export function GroupFields() {
  const { piece } = useDesk();
  const change = useJob((s) => s.change);
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const chosen = elementsOn(piece, side).filter((e) => selection.includes(e.id));
  const group = groupOf(piece, chosen);
  const set = (label: string, to: GroupOf) => change(label, (now) => withGroup(now, to));
  return (
    <Group title="Together">
      {!group && (
        <Button
          size="small"
          variant="outlined"
          onClick={() => change('Group', (now) => groupSelection(now, side, selection))}
        >
          Group
        </Button>
      )}
      {group && (
        <>
          <WordsField
            label="group"
            value={group.name}
            most={60}
            width={110}
            refuse={(name) => (name === '' ? 'A group needs a name.' : undefined)}
            onChange={(name) => set('Name the group', { ...group, name })}
          />
          <ChoiceField
            label="stands in"
            width={112}
            value={group.row?.axis ?? 'none'}
            options={[
              { value: 'none', label: 'no row' },
              { value: 'x', label: 'a row across' },
              { value: 'y', label: 'a row down' },
            ]}
            onChange={(axis) => {
              const { row, ...plain } = group;
              set(
                'Row',
                axis === 'none'
                  ? plain
                  : { ...plain, row: { in: { box: 'safe' }, gap: 'equal', from: 'start', ...row, axis } },
              );
            }}
          />
          {group.row && <RowFields row={group.row} onChange={(row) => set('Row', { ...group, row })} />}
          <Button size="small" onClick={() => change('Ungroup', (now) => ungroupSelection(now, side, selection))}>
            Ungroup
          </Button>
        </>
      )}
    </Group>
  );
}

function RowFields({ row, onChange }: { readonly row: Row; readonly onChange: (row: Row) => void }) {
  const { job, rules } = useDesk();
  const measures = useMeasures();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  return (
    <>
      <BoxField label="of" value={row.in} onChange={(to) => onChange({ ...row, in: to })} />
      <MeasureField<Row['gap']>
        label="gap"
        width={84}
        shown={row.gap === 'equal' ? 'equal' : writeLength(row.gap, context.unit, context.ppi, measures)}
        read={(text) =>
          /^\s*equal\s*$/i.test(text) ? { ok: true, value: 'equal' } : readLength(text, context, measures)
        }
        onChange={(gap) => onChange({ ...row, gap })}
      />
      {row.gap !== 'equal' && (
        <ChoiceField
          label="from"
          width={84}
          value={row.from}
          options={[
            { value: 'start', label: 'start' },
            { value: 'centre', label: 'centre' },
            { value: 'end', label: 'end' },
          ]}
          onChange={(from) => onChange({ ...row, from })}
        />
      )}
    </>
  );
}
