'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { isoWeek, writeDay } from '@/core/dates';
import { counted } from '@/core/measure';
import { behindOn, housesOf, weeksCsv, weeksOf, type PlannedJob, type Week } from '@/core/schedule';
import { api, wordsOf } from '../shell/api';
import { dayWords, todayAsDay } from '../shell/moments';
import { Room } from '../shell/Room';
import { saveFile } from '../shell/save-file';
import { COLOURS, FACES } from '../shell/theme';

const WeeksChart = dynamic(() => import('./WeeksChart'), { ssr: false });

/** So many weeks are looked ahead. */
const AHEAD = 12;

/** What lies in the weeks to come: with each printer, and with us. */
export function WeeksPage() {
  const { data, error } = useQuery({ queryKey: ['weeks'], queryFn: api.weeks });
  const today = todayAsDay();
  const jobs = data?.jobs ?? [];
  const weeks = weeksOf(jobs, today, AHEAD);
  const isBare = weeks.every(({ byHouse, ours }) => ours.length === 0 && Object.keys(byHouse).length === 0);
  return (
    <Room
      here="/weeks"
      title="Weeks"
      tools={
        <Button
          size="small"
          variant="outlined"
          disabled={isBare}
          onClick={() => saveFile(new Blob([weeksCsv(weeks)], { type: 'text/csv' }), 'weeks.csv')}
        >
          As CSV
        </Button>
      }
    >
      {error && <Alert severity="error">{wordsOf(error)}</Alert>}
      {!data && !error && <div role="status">Working out the days of all jobs …</div>}
      {data && isBare && <div>No job has a due date in the weeks to come. It is set in a job’s Brief.</div>}
      {data && !isBare && (
        <Box sx={{ maxWidth: 1180, display: 'grid', gap: 3, '& a': { color: 'inherit' } }}>
          <BehindList jobs={jobs} today={today} />
          <WeeksChart weeks={weeks} />
          <WeekTable weeks={weeks} />
        </Box>
      )}
    </Room>
  );
}

/** What should be done and is not. */
function BehindList({ jobs, today }: { readonly jobs: readonly PlannedJob[]; readonly today: number }) {
  const late = jobs.flatMap((job) => {
    const behind = behindOn(job.steps, today);
    return behind ? [{ job, behind }] : [];
  });
  if (late.length === 0) return <div>Nothing is behind.</div>;
  return (
    <Box component="ul" aria-label="Behind" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: 15 }}>
      {late.map(({ job, behind }) => (
        <li key={job.id}>
          <Box component="span" sx={{ color: 'error.main', fontWeight: 600 }}>
            ▲ {behind.step} {counted(behind.by, 'day')} behind:
          </Box>{' '}
          <Link href={`/jobs/${job.id}?at=record`}>{job.name}</Link>
        </li>
      ))}
    </Box>
  );
}

/** The same as the chart, with the jobs by name. */
function WeekTable({ weeks }: { readonly weeks: readonly Week[] }) {
  const houses = housesOf(weeks);
  return (
    <Box
      component="table"
      aria-label="Jobs by week"
      sx={{
        width: '100%',
        fontSize: 14,
        borderCollapse: 'collapse',
        '& th, & td': {
          textAlign: 'left',
          verticalAlign: 'top',
          py: 0.75,
          pr: 2,
          borderTop: `1px solid ${COLOURS.line}`,
        },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Week from</th>
          {houses.map((house) => (
            <th key={house} scope="col">
              {house}
            </th>
          ))}
          <th scope="col">With us, before the files go</th>
        </tr>
      </thead>
      <tbody>
        {weeks.map(({ from, byHouse, ours }) => (
          <tr key={from}>
            <Box component="th" scope="row" sx={{ fontFamily: FACES.figure, fontWeight: 400, whiteSpace: 'nowrap' }}>
              {dayWords(writeDay(from))} · {isoWeek(from)}
            </Box>
            {houses.map((house) => (
              <td key={house}>
                <Names jobs={byHouse[house] ?? []} />
              </td>
            ))}
            <td>
              <Names jobs={ours} />
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

const Names = ({ jobs }: { readonly jobs: readonly PlannedJob[] }) =>
  jobs.map(({ id, name }) => (
    <div key={id}>
      <Link href={`/jobs/${id}?at=record`}>{name}</Link>
    </div>
  ));
