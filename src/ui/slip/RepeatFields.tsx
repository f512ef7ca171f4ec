'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Repeat, readLength, writeLength, type Copies, type Element, type Gap, type RepeatOf } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { MeasureField } from '../field/MeasureField';
import { useMeasures } from '../field/measures';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { frozenCopies, withJob } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { BoxField } from './BoxField';
import { Opener } from './Opener';
import { Group } from './Slip';
import { useChange } from './use-change';

const WORDS: Readonly<Record<Repeat['way'], string>> = {
  rows: 'In rows',
  around: 'Around a point',
  mirror: 'Mirror image',
};

/** Copies that follow the element, each way on top of the ones before. */
export function RepeatFields({ element }: { readonly element: Element }) {
  const change = useChange(element);
  const desk = useDesk();
  const { drawing } = desk;
  const make = useJob((s) => s.make);
  const frame = drawing.frames.find((f) => f.element === element.id);
  const set = (label: string, repeat: readonly Repeat[]) => change(label, (el) => ({ ...el, repeat: [...repeat] }));
  const put = (i: number, to: Repeat) =>
    set(
      'Repeat',
      element.repeat.map((r, j) => (j === i ? to : r)),
    );
  const copies = frame?.copies.length ?? 1;
  return (
    <Opener label="Repeat" count={copies > 1 ? copies : 0} width={640}>
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        {element.repeat.map((repeat, i) => (
          <Box key={i} sx={{ display: 'flex', alignItems: 'flex-end', gap: 1 }}>
            <RepeatLine element={element} repeat={repeat} onChange={(to) => put(i, to)} />
            <Button
              size="small"
              onClick={() =>
                set(
                  'Take off a repeat',
                  element.repeat.filter((_, j) => j !== i),
                )
              }
            >
              Take off
            </Button>
          </Box>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }}>
          {(Object.keys(WORDS) as Repeat['way'][]).map((way) => (
            <Button
              key={way}
              size="small"
              variant="outlined"
              disabled={element.repeat.length >= 4}
              onClick={() => set(`Repeat: ${WORDS[way].toLowerCase()}`, [...element.repeat, first(way, element)])}
            >
              {WORDS[way]}
            </Button>
          ))}
          {copies > 1 && (
            <Button
              size="small"
              onClick={() => make('Freeze copies', (now) => frozenCopies(withJob(desk, now), element))}
            >
              Freeze {copies} copies
            </Button>
          )}
        </Box>
      </Box>
    </Opener>
  );
}

const first = (way: Repeat['way'], { placement }: Element): Repeat =>
  Repeat.parse(
    way === 'rows'
      ? { way, in: placement.against, across: 3 }
      : { way, in: way === 'mirror' ? { box: 'trim' } : placement.against },
  );

function RepeatLine({
  element,
  repeat,
  onChange,
}: {
  readonly element: Element;
  readonly repeat: Repeat;
  readonly onChange: (repeat: Repeat) => void;
}) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const box = (label: string) => (
    <BoxField label={label} value={repeat.in} element={element.id} onChange={(to) => onChange({ ...repeat, in: to })} />
  );
  switch (repeat.way) {
    case 'rows':
      return <RowsLine repeat={repeat} box={box('fills')} onChange={onChange} />;
    case 'around':
      return (
        <Group title={WORDS.around}>
          <NumberField
            label="copies"
            value={repeat.count}
            least={1}
            most={500}
            whole
            width={60}
            onChange={(count) => onChange({ ...repeat, count })}
          />
          {box('centre of')}
          <NumberField
            label="through"
            value={repeat.through}
            least={-3600}
            most={3600}
            width={64}
            after="°"
            onChange={(through) => onChange({ ...repeat, through })}
          />
          <HeldLengthField
            {...context}
            label="outward"
            negative="allowed"
            value={repeat.out}
            width={74}
            onChange={(out) => onChange({ ...repeat, out })}
          />
          <NumberField
            label="each grows"
            value={repeat.grow}
            least={10}
            most={1000}
            width={72}
            after=" %"
            onChange={(grow) => onChange({ ...repeat, grow })}
          />
          <CheckField
            label="upright"
            checked={repeat.upright}
            onChange={(upright) => onChange({ ...repeat, upright })}
          />
        </Group>
      );
    case 'mirror':
      return (
        <Group title={WORDS.mirror}>
          <ChoiceField
            label="changes"
            width={130}
            value={repeat.axis}
            options={[
              { value: 'x', label: 'left and right' },
              { value: 'y', label: 'top and bottom' },
            ]}
            onChange={(axis) => onChange({ ...repeat, axis })}
          />
          {box('centre of')}
          <CheckField
            label="stays readable"
            checked={repeat.upright}
            onChange={(upright) => onChange({ ...repeat, upright })}
          />
        </Group>
      );
  }
}

function RowsLine({
  repeat,
  box,
  onChange,
}: {
  readonly repeat: RepeatOf<'rows'>;
  readonly box: React.ReactNode;
  readonly onChange: (repeat: Repeat) => void;
}) {
  const { job, rules } = useDesk();
  const measures = useMeasures();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const copies = (label: string, value: Copies, put: (to: Copies) => void) => (
    <MeasureField<Copies>
      label={label}
      shown={String(value)}
      width={62}
      read={(text) => {
        if (/^\s*fill\s*$/i.test(text)) return { ok: true, value: 'fill' };
        const n = Number(text);
        if (text.trim() !== '' && Number.isInteger(n) && n >= 1 && n <= 500) return { ok: true, value: n };
        const message = 'A whole number up to 500, or “fill”.';
        return { ok: false, error: { at: 0, length: text.length, message } };
      }}
      onChange={put}
    />
  );
  const gap = (label: string, value: Gap, put: (to: Gap) => void) => (
    <MeasureField<Gap>
      label={label}
      shown={value === 'even' ? 'even' : writeLength(value, context.unit, context.ppi, measures)}
      width={84}
      read={(text) => (/^\s*even\s*$/i.test(text) ? { ok: true, value: 'even' } : readLength(text, context, measures))}
      onChange={put}
    />
  );
  return (
    <Group title={WORDS.rows}>
      {copies('across', repeat.across, (across) => onChange({ ...repeat, across }))}
      {gap('gap across', repeat.gapAcross, (gapAcross) => onChange({ ...repeat, gapAcross }))}
      {copies('down', repeat.down, (down) => onChange({ ...repeat, down }))}
      {gap('gap down', repeat.gapDown, (gapDown) => onChange({ ...repeat, gapDown }))}
      {box}
    </Group>
  );
}
