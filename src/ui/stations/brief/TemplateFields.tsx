'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { freed, slotsOf, templateOf } from '@/core/job';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { api, wordsOf } from '../../shell/api';
import { useSay } from '../../shell/Messages';

/** Templates: one made of this job, or the one that it was begun from. */
export function TemplateFields() {
  const { job, piece } = useDesk();
  const change = useJob((s) => s.change);
  const router = useRouter();
  const say = useSay();
  const make = async () => {
    try {
      const made = await api.create(templateOf(job, crypto.randomUUID()), `Template of ${job.name}`);
      say({
        tone: 'done',
        text: 'This is the template. Choose what stays open: select it, and under More say what it takes.',
      });
      router.push(`/jobs/${made.id}?at=lay-out`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  const slots = slotsOf(piece).length;
  const said = job.template
    ? 'Begun from a template: only its slots can be changed.'
    : job.stage === 'template'
      ? `A template with ${slots === 0 ? 'no slots yet' : slots === 1 ? 'one slot' : `${slots} slots`}. Jobs ` +
        'are begun from it on the board.'
      : '';
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
        gridColumn: '1 / -1',
        fontSize: 13.5,
        color: 'text.secondary',
      }}
    >
      {said}
      {job.template ? (
        <Button size="small" onClick={() => change('Free from the template', (now) => freed(now))}>
          Free it from its template
        </Button>
      ) : (
        job.stage !== 'template' && (
          <Button
            size="small"
            variant="outlined"
            onClick={() => void make()}
            title="A copy of this job that others are begun from; this one stays as it is"
          >
            Make a template of this job
          </Button>
        )
      )}
    </Box>
  );
}
