'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Guide } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { freshId, putGuide, removeGuide } from '@/core/edit';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { BoxField } from '../slip/BoxField';
import { Fold } from '../shell/Fold';

const HOW = [
  { value: 'from-start', label: 'inside the left or top' },
  { value: 'from-end', label: 'inside the right or bottom' },
  { value: 'centre', label: 'at the centre' },
  { value: 'parts', label: 'at every part' },
] as const;

/** Guides by value and against boxes. */
export function GuideList() {
  const { piece, job, rules } = useDesk();
  const { change } = useJobStore().getState();
  const side = useJob((s) => s.side);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const shown = piece.guides.filter((g) => g.side === undefined || g.side === side);
  const put = (guide: Guide) => change('Guide', (now) => putGuide(now, guide));
  const how = (guide: Guide, to: (typeof HOW)[number]['value']): Guide => {
    switch (to) {
      case 'from-start':
      case 'from-end':
        return { ...guide, at: { how: to, distance: 'distance' in guide.at ? guide.at.distance : 10 } };
      case 'centre':
        return { ...guide, at: { how: to } };
      case 'parts':
        return { ...guide, at: { how: to, parts: 4 } };
    }
  };
  return (
    <Fold title="Guides" count={shown.length}>
      {shown.map((guide) => {
        const { at } = guide;
        return (
          <Box
            key={guide.id}
            role="group"
            aria-label="Guide"
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'flex-end', pb: 0.5 }}
          >
            <ChoiceField
              label="line"
              width={78}
              value={guide.axis}
              options={[
                { value: 'x', label: 'upright' },
                { value: 'y', label: 'level' },
              ]}
              onChange={(axis) => put({ ...guide, axis })}
            />
            <ChoiceField
              label="stands"
              width={124}
              value={at.how}
              options={HOW}
              onChange={(to) => put(how(guide, to))}
            />
            <BoxField label="of" value={guide.in} width={112} onChange={(box) => put({ ...guide, in: box })} />
            {(at.how === 'from-start' || at.how === 'from-end') && (
              <HeldLengthField
                {...context}
                label="distance"
                value={at.distance}
                width={76}
                onChange={(distance) => put({ ...guide, at: { ...at, distance } })}
              />
            )}
            {at.how === 'parts' && (
              <NumberField
                label="parts"
                value={at.parts}
                least={2}
                most={100}
                whole
                width={54}
                onChange={(parts) => put({ ...guide, at: { ...at, parts } })}
              />
            )}
            <Button size="small" onClick={() => change('Remove guide', (now) => removeGuide(now, guide.id))}>
              Remove
            </Button>
          </Box>
        );
      })}
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        onClick={() =>
          change('Add a guide', (now) =>
            putGuide(
              now,
              Guide.parse({
                id: freshId(),
                side,
                axis: 'x',
                in: { box: 'trim' },
                at: { how: 'from-start', distance: 10 },
              }),
            ),
          )
        }
      >
        Add a guide
      </Button>
    </Fold>
  );
}
