'use client';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { formatSize, JOB_UNITS, type JobUnit } from '@/core/measure';
import { paperName, readSize, type Size } from '@/core/paper';
import { EdgesField } from '../field/EdgesField';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { MeasureField } from '../field/MeasureField';
import { NumberField } from '../field/NumberField';
import { useJob, usePiece } from '../job/context';
import { useDesk } from '../job/use-desk';
import { Group, Groups, Slip } from './Slip';

const UNIT_WORDS: Readonly<Record<JobUnit, string>> = { mm: 'mm', cm: 'cm', in: 'in', pt: 'pt', pica: 'pica' };

/** The decisions of a flat sheet. */
export function SizeSlip() {
  const piece = usePiece();
  const { job, rules } = useDesk();
  const edit = useJob((s) => s.edit);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const setSize = (size: Size) =>
    edit('Change size', (draft) => {
      if (draft.pieces[0]) draft.pieces[0].size = { ...size };
    });
  const { grid } = piece;
  return (
    <Slip label="Size">
      <Groups>
        <Group title="Finished">
          <MeasureField
            label="size"
            name="finished-size"
            width={190}
            shown={formatSize(piece.size, job.unit)}
            hint={paperName(piece.size) ?? 'any unit, or a paper name'}
            read={(text) => readSize(text, context)}
            refuse={(size) =>
              size.width < 1 || size.height < 1
                ? 'Each side must be at least 1 mm.'
                : size.width > 20_000 || size.height > 20_000
                  ? 'Each side can be at most 20 m.'
                  : undefined
            }
            onChange={setSize}
          />
          <ToggleButtonGroup
            size="small"
            exclusive
            aria-label="Orientation"
            value={piece.size.width > piece.size.height ? 'landscape' : 'portrait'}
            onChange={(_event, to: string | null) =>
              to && setSize({ width: piece.size.height, height: piece.size.width })
            }
          >
            <ToggleButton value="portrait" sx={{ py: 0.25 }}>
              portrait
            </ToggleButton>
            <ToggleButton value="landscape" sx={{ py: 0.25 }}>
              landscape
            </ToggleButton>
          </ToggleButtonGroup>
          <ChoiceField
            label="unit"
            width={70}
            value={job.unit}
            options={JOB_UNITS.map((u) => ({ value: u, label: UNIT_WORDS[u] }))}
            onChange={(unit) => edit('Change unit', (draft) => void (draft.unit = unit))}
          />
          <ChoiceField
            label="printed"
            width={104}
            value={piece.sides === 2 ? 'both' : 'one'}
            options={[
              { value: 'one', label: 'one side' },
              { value: 'both', label: 'both sides' },
            ]}
            onChange={(to) =>
              edit('Change sides', (draft) => {
                if (draft.pieces[0]) draft.pieces[0].sides = to === 'both' ? 2 : 1;
              })
            }
          />
        </Group>
        <Group title="Bleed">
          <EdgesField
            {...context}
            name="bleed"
            value={rules.bleed.value}
            onChange={(edges) =>
              edit('Change bleed', (draft) => {
                if (draft.pieces[0]) draft.pieces[0].bleed = edges;
              })
            }
          />
        </Group>
        <Group title="Safe margin">
          <EdgesField
            {...context}
            name="safe"
            value={rules.safe.value}
            onChange={(edges) =>
              edit('Change safe margin', (draft) => {
                if (draft.pieces[0]) draft.pieces[0].safe = edges;
              })
            }
          />
        </Group>
        <Group title="Grid in the safe area">
          {(
            [
              ['columns', 'gutter'],
              ['rows', 'rowGutter'],
            ] as const
          ).map(([tracks, gap]) => [
            <NumberField
              key={tracks}
              label={tracks}
              value={grid[tracks]}
              least={1}
              most={100}
              whole
              width={64}
              onChange={(count) =>
                edit(`Change ${tracks}`, (draft) => {
                  if (draft.pieces[0]) draft.pieces[0].grid[tracks] = count;
                })
              }
            />,
            <LengthField
              key={gap}
              {...context}
              label={gap === 'gutter' ? 'gutter' : 'row gutter'}
              value={grid[gap]}
              width={84}
              onChange={(mm) =>
                edit(`Change ${gap}`, (draft) => {
                  if (draft.pieces[0]) draft.pieces[0].grid[gap] = mm;
                })
              }
            />,
          ])}
          <LengthField
            {...context}
            label="slug"
            value={piece.slug}
            width={84}
            onChange={(mm) =>
              edit('Change slug', (draft) => {
                if (draft.pieces[0]) draft.pieces[0].slug = mm;
              })
            }
          />
        </Group>
      </Groups>
    </Slip>
  );
}
