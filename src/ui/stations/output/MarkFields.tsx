'use client';
import Box from '@mui/material/Box';
import { SLUG_FACE } from '@/core/compose';
import type { Job } from '@/core/job';
import { sideMarks } from '@/core/marks';
import { formatSize } from '@/core/measure';
import { CheckField } from '../../field/CheckField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { FACES } from '../../shell/theme';
import { Group } from '../../slip/Slip';

const MARKS = [
  ['corner', 'corners'],
  ['centre', 'centres'],
  ['register', 'register'],
  ['colourBar', 'colour bar'],
  ['slugLine', 'slug line'],
  ['fold', 'fold ticks'],
] as const;

/** Marks around the piece, and the sheet that they make it. */
export function MarkFields() {
  const { job, rules, surface, drawing, piece, blank, resources } = useDesk();
  const change = useJob((s) => s.change);
  const { marks } = job.output;
  const face = resources.fonts.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const { sheet } = sideMarks(job, { piece, surface, drawing, rules, scale: blank.scale }, face, '0000-00-00');
  const round = (mm: number) => Math.round(mm * 100) / 100;
  return (
    <Group title="Marks" term="marks">
      {MARKS.map(([key, label]) => (
        <CheckField
          key={key}
          label={label}
          checked={marks[key]}
          onChange={(isOn) => change('Marks', (now) => withMark(now, key, isOn))}
        />
      ))}
      <Box sx={{ flexBasis: '100%', fontSize: 13.5 }}>
        Sheet with marks{' '}
        <Box component="span" sx={{ fontFamily: FACES.figure, fontWeight: 600 }}>
          {formatSize({ width: round(sheet.width), height: round(sheet.height) }, job.unit)}
        </Box>
      </Box>
    </Group>
  );
}

/** A kind of marks on the sheet or off it. */
const withMark = (job: Job, key: (typeof MARKS)[number][0], isOn: boolean): Job => ({
  ...job,
  output: { ...job.output, marks: { ...job.output.marks, [key]: isOn } },
});
