'use client';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { NAME_PARTS, NAME_PART_WORDS, USUAL_NAMES, namedBy, patternProblem } from '@/core/job';
import { WordsField } from '../../field/WordsField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { FACES } from '../../shell/theme';

/** How the files of a hand-over are called, with what comes of it. */
export function FileNames() {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const head = useJob((s) => s.saving.head);
  // The day on which it was opened will do for an example.
  const [today] = useState(() => new Date().toISOString().slice(0, 10));
  const pattern = job.output.names ?? USUAL_NAMES;
  const example = namedBy(pattern, {
    client: job.client,
    job: job.name,
    what: 'press',
    revision: String(head),
    date: today,
  });
  const parts = NAME_PARTS.map((part) => `{${part}}: ${NAME_PART_WORDS[part]}`).join('\n');
  return (
    <Box title={parts}>
      <WordsField
        label="names in a hand-over"
        value={pattern}
        most={200}
        width="100%"
        refuse={patternProblem}
        onChange={(names) =>
          change('Names of files', (now) => ({
            ...now,
            output: { ...now.output, names: names === USUAL_NAMES || names === '' ? undefined : names },
          }))
        }
      />
      <Box role="status" aria-label="Example" sx={{ fontFamily: FACES.figure, fontSize: 12, overflowWrap: 'anywhere' }}>
        {example}.pdf
      </Box>
    </Box>
  );
}
