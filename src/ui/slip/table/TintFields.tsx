'use client';
import type { ElementOf } from '@/core/job';
import { CheckField } from '../../field/CheckField';
import { NumberField } from '../../field/NumberField';
import { SolidPaintField } from '../../field/PaintField';
import { Group } from '../Slip';
import type { SetTableOf } from './set-table';

/** Rows tinted in turn, so that the eye keeps to its row. */
export function TintFields({ table, set }: { readonly table: ElementOf<'table'>; readonly set: SetTableOf }) {
  const { tint } = table;
  return (
    <Group title="Rows tinted in turn">
      <SolidPaintField
        label="tint"
        value={tint?.fill ?? null}
        none="none"
        onChange={(fill) => set('Tint', (t) => ({ ...t, tint: fill && { every: 1, first: false, ...t.tint, fill } }))}
      />
      {tint && (
        <>
          <NumberField
            label="every so many"
            name="tint-every"
            value={tint.every}
            least={1}
            most={100}
            whole
            width={96}
            onChange={(every) => set('Tint', (t) => ({ ...t, tint: t.tint && { ...t.tint, every } }))}
          />
          <CheckField
            label="from the first row"
            checked={tint.first}
            onChange={(first) => set('Tint', (t) => ({ ...t, tint: t.tint && { ...t.tint, first } }))}
          />
        </>
      )}
    </Group>
  );
}
