'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useMemo, useState, type ReactNode } from 'react';
import { itemsOf } from '@/core/drawing';
import { baseOfSide, changedElements, describeDifferences, type Job, type SideName } from '@/core/job';
import { svgPage } from '@/paint/svg';
import { ChoiceField } from '../field/ChoiceField';
import { COLOURS } from '../shell/theme';
import { paintingOf } from '../open-job/painting';
import { pieceOf } from '@/core/edit';
import { useDeskOf } from '../open-job/use-desk';

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
  const { desk, problem } = useDeskOf(job, side);
  const trim = desk?.drawing.boxes.trim;
  const picture = useMemo(() => {
    if (!desk || !trim) return '';
    const { drawing, resources, rules } = desk;
    // A drawing within another is cut to its own edges: what bleeds off is not seen.
    return svgPage(itemsOf(drawing), trim, paintingOf(resources, rules.conversion)).replace(
      / width="[^"]*mm" height="[^"]*mm"/,
      ` width="${trim.width}" height="${trim.height}"`,
    );
  }, [desk, trim]);
  const frames = desk?.drawing.frames.filter((f) => marked.includes(f.element)) ?? [];
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'center', alignContent: 'start' }}>
      <b>{title}</b>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Box
        role="img"
        aria-label={`${title}: ${side}, ${frames.length} marked`}
        sx={{ position: 'relative', width: '100%', height: 320, bgcolor: COLOURS.bench, p: 1 }}
      >
        {trim && (
          <svg
            viewBox={`0 0 ${trim.width} ${trim.height}`}
            width="100%"
            height="100%"
            dangerouslySetInnerHTML={{ __html: picture }}
          />
        )}
        {trim && (
          <Box
            component="svg"
            viewBox={`${trim.x} ${trim.y} ${trim.width} ${trim.height}`}
            sx={{
              position: 'absolute',
              inset: 8,
              width: 'calc(100% - 16px)',
              height: 'calc(100% - 16px)',
              overflow: 'visible',
            }}
          >
            {frames.map(({ element, bounds }) => (
              <rect
                key={element}
                x={bounds.x}
                y={bounds.y}
                width={bounds.width}
                height={bounds.height}
                fill={COLOURS.accent}
                fillOpacity="0.08"
                stroke={COLOURS.accent}
                strokeWidth="2"
                strokeDasharray="6 3"
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </Box>
        )}
      </Box>
      {choice}
    </Box>
  );
}
