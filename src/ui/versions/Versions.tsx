'use client';
import Box from '@mui/material/Box';
import { useMemo, useState, type ReactNode } from 'react';
import { baseOfSide, changedElements, describeDifferences, type Job, type SideName } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { COLOURS } from '../shell/theme';
import { pieceOf } from '@/core/edit';
import { SideOf } from '../view/SideOf';

/** One of two states of a job. */
interface Version {
  readonly title: string;
  readonly job: Job;
  /** What can be done with it, under its picture. */
  readonly choice?: ReactNode;
}

interface Props {
  readonly before: Version;
  readonly after: Version;
}

/** Two states of a job side by side: as pictures with what changed outlined, and in words. */
export function Versions({ before, after }: Props) {
  const differences = useMemo(() => describeDifferences(before.job, after.job), [before.job, after.job]);
  const changes = useMemo(
    () => changedElements(pieceOf(before.job), pieceOf(after.job)).filter(({ side }) => baseOfSide(side) === undefined),
    [before.job, after.job],
  );
  const sides = [...new Set(changes.map((c) => c.side))];
  const [chosen, setChosen] = useState<SideName>();
  const side = chosen ?? sides[0] ?? 'front';
  const marked = changes.filter((c) => c.side === side).map((c) => c.id);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {sides.length > 1 && (
        <ChoiceField
          label="side"
          width={160}
          value={side}
          options={sides.map((name) => ({ value: name, label: name }))}
          onChange={setChosen}
        />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
        <VersionPicture {...before} side={side} marked={marked} />
        <VersionPicture {...after} side={side} marked={marked} />
      </Box>
      <Box component="ul" aria-label="Differences" sx={{ fontSize: 14, m: 0, maxHeight: 160, overflowY: 'auto' }}>
        {differences.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}

interface PictureProps extends Version {
  readonly side: SideName;
  /** Elements that differ. */
  readonly marked: readonly string[];
}

function VersionPicture({ title, job, choice, side, marked }: PictureProps) {
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'center', alignContent: 'start' }}>
      <b>{title}</b>
      <SideOf
        job={job}
        side={side}
        height={320}
        cut="trim"
        box={({ trim }) => trim}
        label={`${title}: ${side}, ${marked.length} marked`}
        over={({ frames }) =>
          frames
            .filter(({ element }) => marked.includes(element))
            .map(({ element, bounds: { x, y, width, height } }) => (
              <rect
                key={element}
                {...{ x, y, width, height }}
                fill={COLOURS.accent}
                fillOpacity="0.08"
                stroke={COLOURS.accent}
                strokeWidth="2"
                strokeDasharray="6 3"
                vectorEffect="non-scaling-stroke"
              />
            ))
        }
      />
      {choice}
    </Box>
  );
}
