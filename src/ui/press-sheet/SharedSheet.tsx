'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import type { ArticleCount, ImposedSheet, JobSummary, SheetGuest, SheetOutput } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { useDesk } from '../open-job/use-desk';
import { api } from '../shell/api';
import { dayWords } from '../shell/moments';
import { FACES } from '../shell/theme';

interface Props {
  readonly set: (label: string, to: Partial<SheetOutput>) => void;
}

const FORMS = [1, 2, 3, 4].map((n) => ({ value: String(n), label: n === 1 ? 'one set of plates' : `up to ${n} sets` }));

/** Other jobs on the same sheets: which, how many of each, and in which state. */
export function SharedSheet({ set }: Props) {
  const { job } = useDesk();
  const guests = job.output.sheet?.guests ?? [];
  const { data } = useQuery({ queryKey: ['jobs'], queryFn: api.jobs });
  const jobs = data?.jobs ?? [];
  const heads = new Map(jobs.map(({ id, head }) => [id, head]));
  const others = jobs.filter(
    ({ id, stage }) => id !== job.id && stage !== 'template' && !guests.some((guest) => guest.job === id),
  );
  const put = (guest: SheetGuest) => set(guest.name, { guests: guests.map((g) => (g.job === guest.job ? guest : g)) });
  const take = ({ id, head, name, quantity }: JobSummary) =>
    set(`${name} on the same sheet`, {
      guests: [...guests, { job: id, revision: head, name, quantity: quantity ?? job.quantity ?? 100 }],
    });
  const leave = (guest: SheetGuest) => {
    const left = guests.filter((g) => g !== guest);
    set(`${guest.name} off the sheet`, { guests: left.length > 0 ? left : undefined });
  };
  return (
    <Box role="group" aria-label="On the same sheet" sx={{ flexBasis: '100%', display: 'grid', gap: 0.75 }}>
      {guests.map((guest) => (
        <Box key={guest.job} sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', flexWrap: 'wrap' }}>
          <Box sx={{ flex: 1, minWidth: 110, fontSize: 13, pb: 0.5 }}>{guest.name}</Box>
          <NumberField
            label="copies"
            value={guest.quantity}
            least={1}
            most={100_000_000}
            whole
            width={84}
            onChange={(quantity) => put({ ...guest, quantity })}
          />
          <Button size="small" onClick={() => leave(guest)} aria-label={`Take ${guest.name} off the sheet`}>
            Off
          </Button>
          {(heads.get(guest.job) ?? guest.revision) > guest.revision && (
            <Button size="small" onClick={() => put({ ...guest, revision: heads.get(guest.job) ?? guest.revision })}>
              It has changed since: take it as it is now
            </Button>
          )}
        </Box>
      ))}
      <Autocomplete
        // Once one was taken, the next is looked for from the beginning.
        key={guests.length}
        size="small"
        options={others}
        value={null}
        blurOnSelect
        clearOnBlur
        getOptionLabel={({ name }) => name}
        getOptionKey={({ id }) => id}
        renderOption={({ key, ...props }, { name, size, due, quantity }) => (
          <li key={key} {...props}>
            <Box>
              {name}
              <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
                {[size, quantity === null ? '' : `${quantity} copies`, due ? `due ${dayWords(due)}` : '']
                  .filter((part) => part !== '')
                  .join(' · ')}
              </Box>
            </Box>
          </li>
        )}
        onChange={(_event, taken) => taken && take(taken)}
        renderInput={(params) => <TextField {...params} label="another job on the same sheet" />}
      />
      {guests.length > 0 && (
        <ChoiceField
          label="plates"
          width={150}
          value={String(job.output.sheet?.forms ?? 1)}
          options={FORMS}
          onChange={(to) => set('sets of plates', { forms: Number(to) })}
        />
      )}
    </Box>
  );
}

/** How many of each come of the run, and how many are wanted. */
export function ArticleCounts({ sheet }: { readonly sheet: ImposedSheet }) {
  const { counts } = sheet;
  if (!counts) return null;
  return (
    <Box
      component="table"
      aria-label="What the run gives"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        fontSize: 12.5,
        '& td:not(:first-of-type), & th:not(:first-of-type)': {
          textAlign: 'right',
          fontFamily: FACES.figure,
          pl: 1,
        },
        '& td:first-of-type, & th:first-of-type': { textAlign: 'left' },
      }}
    >
      <thead>
        <tr>
          <th>piece</th>
          <th>up</th>
          <th>wanted</th>
          <th>over</th>
        </tr>
      </thead>
      <tbody>
        {counts.map((count) => (
          <tr key={keyOf(count)}>
            <td>{count.name}</td>
            <td>{count.up}</td>
            <td>{formatNumber(count.wanted, 0)}</td>
            <td>{formatNumber(count.printed - count.wanted, 0)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

const keyOf = ({ guest, record, name }: ArticleCount): string => `${guest ?? ''} ${record ?? ''} ${name}`;
