'use client';
import type { ElementOf } from '@/core/job';
import Button from '@mui/material/Button';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { WordsField } from '../field/WordsField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Opener } from './Opener';
import { Group } from './Slip';

type Picture = ElementOf<'picture'>;

/** How the content lies behind its frame: moved, turned, mirrored; and what an empty frame waits for. */
export function FramingFields({
  element,
  onChange,
}: {
  readonly element: Picture;
  readonly onChange: (values: Partial<Picture>) => void;
}) {
  const { job, rules } = useDesk();
  const frame = useJob((s) => s.frame);
  const { offset, flip, turn, wants, expects } = element;
  const context = { unit: job.unit, ppi: rules.ppi.value, width: 76, negative: 'allowed' as const };
  return (
    <Opener label="Framing" width={440}>
      <Group title="Content within its frame">
        <HeldLengthField
          {...context}
          label="moved across"
          value={offset.x}
          onChange={(x) => onChange({ offset: { ...offset, x } })}
        />
        <HeldLengthField
          {...context}
          label="moved down"
          value={offset.y}
          onChange={(y) => onChange({ offset: { ...offset, y } })}
        />
        <NumberField
          label="content turned"
          value={turn}
          least={-360}
          most={360}
          width={84}
          after="°"
          onChange={(to) => onChange({ turn: to })}
        />
        <CheckField
          label="left to right"
          checked={flip.across}
          onChange={(across) => onChange({ flip: { ...flip, across } })}
        />
        <CheckField
          label="top to bottom"
          checked={flip.down}
          onChange={(down) => onChange({ flip: { ...flip, down } })}
        />
        <Button size="small" variant="outlined" onClick={() => frame(element.id)}>
          Move by hand
        </Button>
      </Group>
      <Group title="What belongs here">
        <WordsField label="in words" value={wants} most={300} width={240} onChange={(to) => onChange({ wants: to })} />
        <ChoiceField
          label="expects"
          width={120}
          value={expects}
          options={[
            { value: 'picture', label: 'a picture' },
            { value: 'vector', label: 'a vector logo' },
          ]}
          onChange={(to) => onChange({ expects: to })}
        />
      </Group>
    </Opener>
  );
}
