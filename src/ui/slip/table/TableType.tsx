'use client';
import { styleBook, type ElementOf } from '@/core/job';
import { ChoiceField } from '../../field/ChoiceField';
import { SolidPaintField } from '../../field/PaintField';
import { useDesk } from '../../open-job/use-desk';
import { Opener } from '../Opener';
import { Group } from '../Slip';
import { LetterFields } from '../text/LetterFields';
import { ParagraphFields } from '../text/ParagraphFields';
import { SpecField } from '../text/SpecField';
import { BoxOfCell } from './CellFields';
import { HeaderFields } from './HeaderFields';
import type { SetTableOf } from './set-table';

/** How all cells of a table are set. */
export function TableType({ table, set }: { readonly table: ElementOf<'table'>; readonly set: SetTableOf }) {
  const { job } = useDesk();
  const look = styleBook(job).base(table);
  const change = (label: string, changes: ElementOf<'table'>['look']) =>
    set(label, (t) => ({ ...t, look: { ...t.look, ...changes } }));
  return (
    <Group title="Type of all cells">
      <ChoiceField
        label="style"
        width={118}
        value={table.style ?? ''}
        options={[
          { value: '', label: 'none' },
          ...job.styles.filter((s) => s.of === 'paragraph').map((s) => ({ value: s.id, label: s.name })),
        ]}
        onChange={(style) => set('Style', (t) => ({ ...t, style: style === '' ? null : style, look: {} }))}
      />
      <SpecField label="set in" name="set in" width="100%" look={look} onChange={change} />
      <SolidPaintField label="ink" value={look.paint} onChange={(paint) => paint && change('Ink', { paint })} />
      <Opener label="Letters" width={660}>
        <LetterFields look={look} set={change} />
      </Opener>
      <Opener label="Paragraph" width={620}>
        <ParagraphFields look={look} set={change} />
      </Opener>
      <Opener label="Cells" width={560}>
        <BoxOfCell
          cell={table.cells}
          onChange={(label, changes) => set(label, (t) => ({ ...t, cells: { ...t.cells, ...changes } }))}
        />
      </Opener>
      {table.header.rows > 0 && (
        <Opener label="Header" width={560}>
          <HeaderFields table={table} set={set} />
        </Opener>
      )}
    </Group>
  );
}
