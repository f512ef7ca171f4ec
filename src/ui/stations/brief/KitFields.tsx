'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { type Job, type Kit } from '@/core/job';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { api, wordsOf } from '../../shell/api';
import { useSay } from '../../shell/Messages';
import { FromBook } from './FromBook';
import { kitDifferences, kitOf, takeKit } from '@/core/edit';

/** What the job has in common with the client’s other pieces: taken from a kit, or made a kit of. */
export function KitFields({ onTake }: { readonly onTake: (label: string, recipe: (job: Job) => Job) => void }) {
  const { job } = useDesk();
  const { data: kits } = useQuery({ queryKey: ['kits'], queryFn: api.kits });
  const queries = useQueryClient();
  const say = useSay();
  const change = useJob((s) => s.change);
  const inBook = kits?.records.find((k) => k.name === job.kit?.name);
  const isNewer = inBook !== undefined && job.kit !== undefined && JSON.stringify(inBook) !== JSON.stringify(job.kit);
  const differences = kitDifferences(job);
  const take = (kit: Kit) => onTake(`Take the kit of ${kit.name}`, (now) => takeKit(now, kit));
  const make = async () => {
    const name = job.client.trim() || job.name;
    const before = kits?.records.find((k) => k.name === name);
    const kit = kitOf(job, name);
    const keep = async (record: Kit) => {
      await api.saveRecord('kits', name, record);
      await queries.invalidateQueries({ queryKey: ['kits'] });
    };
    try {
      await keep(kit);
      say({
        tone: 'done',
        text:
          `The kit of ${name} is in the shop books: ${count(kit.colours.length, 'colour')}, ` +
          `${count(kit.styles.length, 'style')}, ${count(kit.measures.length, 'measure')}, ` +
          `${count(Object.keys(kit.logos).length, 'drawing')}.`,
        ...(before && { action: { label: 'Put the old one back', run: () => void keep(before) } }),
      });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <>
      <FromBook label="The client’s kit" chosen={job.kit?.name ?? ''} records={kits?.records} onChoose={take} />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          size="small"
          variant="outlined"
          onClick={() => void make()}
          title={
            'Its colours, families, drawings, measures and styles go into the shop books, for all jobs of this ' +
            'client'
          }
        >
          Make a kit of this job
        </Button>
        {job.kit && (
          <Button
            size="small"
            onClick={() => change('Leave the kit', ({ kit: _left, ...rest }) => rest)}
            title="Styles and measures stay as they are"
          >
            Leave the kit
          </Button>
        )}
      </Box>
      {job.kit && (isNewer || differences.length > 0) && (
        <Alert
          severity={isNewer ? 'warning' : 'info'}
          sx={{ gridColumn: '1 / -1' }}
          action={
            (isNewer || differences.some((d) => 'how' in d)) && (
              <Button size="small" onClick={() => take(inBook ?? job.kit ?? kitOf(job, job.name))}>
                Take the kit
              </Button>
            )
          }
        >
          {isNewer && <div>The kit of {job.kit.name} was changed in the shop books since this job took it.</div>}
          {differences.length > 0 && (
            <div>This job differs from its kit in {count(differences.length, 'thing')}; Inspect names each.</div>
          )}
        </Alert>
      )}
    </>
  );
}

const count = (n: number, what: string): string => `${n === 0 ? 'no' : n} ${what}${n === 1 ? '' : 's'}`;
