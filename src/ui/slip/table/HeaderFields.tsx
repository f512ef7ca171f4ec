'use client';
import { styleBook, type ElementOf, type ParagraphChanges } from '@/core/job';
import { ChoiceField } from '../../field/ChoiceField';
import { SolidPaintField } from '../../field/PaintField';
import { useDesk } from '../../open-job/use-desk';
import { Group } from '../Slip';
import { SpecField } from '../text/SpecField';
import { BoxOfCell } from './CellFields';
import type { SetTableOf } from './set-table';

/** What header rows look like, otherwise than the others. */
export function HeaderFields({ table, set }: { readonly table: ElementOf<'table'>; readonly set: SetTableOf }) {
  const { job } = useDesk();
  const { cells } = table.header;
  const style = cells.style ?? null;
  const base = style === null ? table.look : {};
  const look = styleBook(job).base({ style: style ?? table.style, look: { ...base, ...cells.look } });
  const put = (label: string, changes: typeof cells) =>
    set(label, (t) => ({ ...t, header: { ...t.header, cells: { ...t.header.cells, ...changes } } }));
  const change = (label: string, changes: ParagraphChanges) =>
    put(label, { look: { ...table.header.cells.look, ...changes } });
  return (
    <>
      <Group title="Type of the header">
        <ChoiceField
          label="style"
          width={118}
          value={style ?? ''}
          options={[
            { value: '', label: 'of the table' },
            ...job.styles.filter((s) => s.of === 'paragraph').map((s) => ({ value: s.id, label: s.name })),
          ]}
          onChange={(to) => put('Header style', { style: to === '' ? null : to, look: {} })}
        />
        <SpecField label="set in" name="header-set-in" width={240} look={look} onChange={change} />
        <SolidPaintField label="ink" value={look.paint} onChange={(paint) => paint && change('Ink', { paint })} />
      </Group>
      <BoxOfCell cell={cells} onChange={put} />
    </>
  );
}
