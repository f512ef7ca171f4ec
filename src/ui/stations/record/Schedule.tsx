'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { writeDay } from '@/core/dates';
import { saidOfStep, withoutSchedule } from '@/core/edit';
import type { StepSaid } from '@/core/job';
import { STEP_TITLES, type Plan, type PlannedStep } from '@/core/schedule';
import { DateField } from '../../field/DateField';
import { NumberField } from '../../field/NumberField';
import { useJob } from '../../open-job/context';
import { planWords } from '../../open-job/plan-words';
import { today, usePlan } from '../../open-job/use-plan';
import { dayWords } from '../../shell/moments';
import { COLOURS, FACES } from '../../shell/theme';
import { Timeline } from './Timeline';
import { useMake } from './use-make';

/** How each step is told apart: by its sign as well as its colour. */
const SIGNS: Readonly<Record<PlannedStep['state'], string>> = { done: '✓', now: '▸', ahead: '·' };

/** The picture stands where there is room for it. */
const PICTURE = { display: { xs: 'none', lg: 'table-cell' } } as const;

/** Columns with their widths, px: the first takes what is left on a narrow page, the picture on a wide one. */
const HEADS = [
  ['Step', { width: { lg: 214 } }],
  ['Days', { width: 50 }],
  ['Ends', { width: 150 }],
  ['Done', { width: 196 }],
  ['Where it lies', PICTURE],
] as const;

/** The days of the job, counted back from its due date; each can be moved. */
export function Schedule() {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const plan = usePlan(job);
  const calendar = useMake('schedule');
  if (!plan)
    return <Box>{job.stage === 'template' ? 'A template has no due date.' : 'Set a due date under Brief.'}</Box>;
  return (
    <>
      <Box
        role="status"
        data-plan={plan.state}
        sx={{ fontWeight: 600, borderLeft: `4px solid ${plan.state === 'good' ? COLOURS.line : COLOURS.ink}`, pl: 1.5 }}
      >
        {plan.state === 'good' ? '' : '▲ '}
        {planWords(plan)}
      </Box>
      <Table size="small" aria-label="Schedule" sx={{ tableLayout: 'fixed', '& td, & th': { px: 0.5 } }}>
        <TableHead>
          <TableRow>
            {HEADS.map(([name, sx]) => (
              <TableCell key={name} sx={sx}>
                {name}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {plan.steps.map((step) => (
            <StepRow key={step.id} step={step} plan={plan} />
          ))}
        </TableBody>
      </Table>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" variant="outlined" disabled={calendar.isPending} onClick={() => calendar.mutate()}>
          As a calendar (.ics)
        </Button>
        {job.schedule !== undefined && (
          <Button size="small" onClick={() => change('Schedule as it follows', withoutSchedule)}>
            As it follows from the due date
          </Button>
        )}
      </Box>
    </>
  );
}

function StepRow({ step, plan }: { readonly step: PlannedStep; readonly plan: Plan }) {
  const said = useJob((s) => s.job.schedule?.steps[step.id]);
  const change = useJob((s) => s.change);
  const title = STEP_TITLES[step.id];
  const say = (what: string, to: { readonly [K in keyof StepSaid]?: StepSaid[K] | undefined }) =>
    change(`Schedule: ${title.toLowerCase()}, ${what}`, (now) => saidOfStep(now, step.id, to));
  const isDone = step.state === 'done';
  return (
    <TableRow data-step={step.id} data-state={step.state} sx={{ '& td': { verticalAlign: 'top' } }}>
      <TableCell component="th" scope="row" sx={{ verticalAlign: 'top' }}>
        <Box component="span" aria-hidden sx={{ display: 'inline-block', width: 14 }}>
          {SIGNS[step.state]}
        </Box>
        <b>{title}</b>
        <Box sx={{ fontSize: 12, color: 'text.secondary', pl: '14px' }}>{step.why}</Box>
        {step.early > 0 && (
          <Box sx={{ fontSize: 12, pl: '14px', color: 'error.main' }}>
            ▲ What comes before it is not done by then: it ends {dayWords(writeDay(step.to))}.
          </Box>
        )}
      </TableCell>
      <TableCell>
        <NumberField
          label=""
          name={`${title}, working days`}
          width={40}
          value={step.days}
          least={0}
          most={365}
          whole
          onChange={(days) => say('days', { days })}
        />
      </TableCell>
      <TableCell>
        <DateField
          name={`${title} ends`}
          value={said?.on ?? writeDay(step.to)}
          isClearable={said?.on !== undefined}
          width={142}
          onChange={(day) => say('moved', { on: day ?? undefined })}
        />
        {step.days > 1 && (
          <Box sx={{ fontFamily: FACES.figure, fontSize: 12 }}>from {dayWords(writeDay(step.from))}</Box>
        )}
      </TableCell>
      <TableCell>
        {isDone && said?.done === undefined ? (
          <Box sx={{ fontFamily: FACES.figure }}>{dayWords(writeDay(step.to))}</Box>
        ) : (
          <Box sx={{ display: 'flex', alignItems: 'end' }}>
            <DateField
              name={`${title} done`}
              value={said?.done ?? null}
              isClearable={said?.done !== undefined}
              width={142}
              onChange={(day) => say('done', { done: day ?? undefined })}
            />
            {!isDone && (
              <Button
                size="small"
                sx={{ minWidth: 0, px: 0.75 }}
                aria-label={`${title} is done today`}
                onClick={() => say('done', { done: writeDay(today()) })}
              >
                today
              </Button>
            )}
          </Box>
        )}
      </TableCell>
      <TableCell sx={PICTURE}>
        <Timeline plan={plan} step={step} today={today()} />
      </TableCell>
    </TableRow>
  );
}
