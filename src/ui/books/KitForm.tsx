'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { BLACK, paintKey, readPaint, Kit, type SolidPaint } from '@/core/job';
import { MeasureField } from '../field/MeasureField';
import { LengthField } from '../field/LengthField';
import { WordsField } from '../field/WordsField';
import type { FormProps } from './form-props';
import { RecordForm } from './RecordForm';
import { useRecord } from './use-record';

/** What a client’s pieces have in common; styles are made and changed in a job, and taken out here. */
export function KitForm({ record, onKeep, ...rest }: FormProps<Kit>) {
  const { record: kit, set, keep, problems } = useRecord(Kit, record, onKeep);
  /** A list with one of its entries changed, or without it. */
  const put = <T,>(list: readonly T[], at: number, to: T | undefined): T[] =>
    list.flatMap((entry, i) => (i !== at ? [entry] : to === undefined ? [] : [to]));
  const colour = (at: number, to: Kit['colours'][number] | undefined) => set({ colours: put(kit.colours, at, to) });
  return (
    <RecordForm
      title={`Kit of ${record.name}`}
      canKeep={kit.name.trim() !== ''}
      onKeep={keep}
      problems={problems}
      {...rest}
    >
      <TextField
        label="Client"
        value={kit.name}
        onChange={(event) => set({ name: event.target.value })}
        sx={{ gridColumn: '1 / -1' }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
      />
      <Part
        title="Colours"
        empty="any"
        onAdd={() => set({ colours: [...kit.colours, { name: `Colour ${kit.colours.length + 1}`, paint: BLACK }] })}
      >
        {kit.colours.map((c, i) => (
          <Entry key={i} name={c.name} onRemove={() => colour(i, undefined)}>
            <WordsField
              label={`name of colour ${i + 1}`}
              value={c.name}
              most={60}
              width={150}
              refuse={(w) => (w.trim() ? undefined : 'A colour needs a name.')}
              onChange={(name) => colour(i, { ...c, name })}
            />
            <MeasureField<SolidPaint>
              label={`colour ${i + 1}`}
              width={130}
              shown={paintKey(c.paint)}
              read={readPaint}
              onChange={(paint) => colour(i, { ...c, paint })}
            />
          </Entry>
        ))}
      </Part>
      <Box sx={{ gridColumn: '1 / -1' }}>
        <WordsField
          label="Families of type, parted by commas; none allows all"
          value={kit.families.join(', ')}
          most={1000}
          width="100%"
          onChange={(words) =>
            set({
              families: words
                .split(',')
                .map((f) => f.trim())
                .filter(Boolean)
                .slice(0, 20),
            })
          }
        />
      </Box>
      <Part title="Measures" empty="none">
        {kit.measures.map((m, i) => (
          <Entry key={m.id} name={m.name} onRemove={() => set({ measures: put(kit.measures, i, undefined) })}>
            <LengthField
              label={m.name}
              value={m.value}
              unit="mm"
              ppi={300}
              width={130}
              onChange={(value) => set({ measures: put(kit.measures, i, { ...m, value }) })}
            />
          </Entry>
        ))}
      </Part>
      <Part title="Styles" empty="none">
        {kit.styles.map((s, i) => (
          <Entry
            key={s.id}
            name={s.name}
            onRemove={() =>
              set({
                styles: put(kit.styles, i, undefined).map((other) => ({
                  ...other,
                  basedOn: other.basedOn === s.id ? s.basedOn : other.basedOn,
                })),
              })
            }
          >
            <Named name={s.name} kind={`of ${s.of === 'paragraph' ? 'paragraphs' : 'letters'}`} />
          </Entry>
        ))}
        {kit.cellStyles.map((s, i) => (
          <Entry key={s.id} name={s.name} onRemove={() => set({ cellStyles: put(kit.cellStyles, i, undefined) })}>
            <Named name={s.name} kind="of cells" />
          </Entry>
        ))}
      </Part>
      <Part title="Logos" empty="none">
        {Object.entries(kit.logos).map(([sha, asset]) => (
          <Entry
            key={sha}
            name={asset.name}
            onRemove={() =>
              set({ logos: Object.fromEntries(Object.entries(kit.logos).filter(([other]) => other !== sha)) })
            }
          >
            <Named name={asset.name} kind={asset.kind} />
          </Entry>
        ))}
      </Part>
    </RecordForm>
  );
}

const Named = ({ name, kind }: { readonly name: string; readonly kind: string }) => (
  <Box sx={{ fontSize: 14.5, minWidth: 0, overflowWrap: 'anywhere' }}>
    {name}{' '}
    <Box component="span" sx={{ fontSize: 12.5, color: 'text.secondary' }}>
      {kind}
    </Box>
  </Box>
);

interface PartProps {
  readonly title: string;
  /** What no entry means. */
  readonly empty: string;
  readonly children: readonly ReactNode[] | ReactNode;
  readonly onAdd?: () => void;
}

function Part({ title, empty, children, onAdd }: PartProps) {
  const isEmpty = [children].flat(2).length === 0;
  return (
    <Box component="section" aria-label={title} sx={{ gridColumn: '1 / -1', display: 'grid', gap: 0.75 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box component="h3" sx={{ m: 0, typography: 'h3' }}>
          {title}
        </Box>
        {isEmpty && <Box sx={{ fontSize: 13, color: 'text.secondary' }}>{empty}</Box>}
        {onAdd && (
          <Button size="small" onClick={onAdd} sx={{ ml: 'auto' }}>
            Add a colour
          </Button>
        )}
      </Box>
      {children}
    </Box>
  );
}

function Entry({
  name,
  children,
  onRemove,
}: {
  readonly name: string;
  readonly children: ReactNode;
  readonly onRemove: () => void;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 1.5 }}>
      {children}
      <Button
        size="small"
        onClick={onRemove}
        aria-label={`Take ${name} out of the kit`}
        sx={{ ml: 'auto', minWidth: 0 }}
      >
        ✕
      </Button>
    </Box>
  );
}
