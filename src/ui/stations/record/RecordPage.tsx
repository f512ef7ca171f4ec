'use client';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Paper from '@mui/material/Paper';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { formatNumber } from '@/core/measure';
import { NumberField } from '../../field/NumberField';
import { useJob } from '../../open-job/context';
import { useExports } from '../../open-job/use-exports';
import { wordsOf, type ExportFacts, type ExportKind } from '../../shell/api';
import { momentWords } from '../../shell/moments';
import { FACES } from '../../shell/theme';
import { CostPart } from './CostPart';
import { Log } from './Log';
import { Proofs } from './Proofs';
import { Schedule } from './Schedule';
import { useMake } from './use-make';

/** So many changes are named. */
const MOST = 40;

/** What was made of a job, and what was changed lately. */
export function RecordPage() {
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', p: 3 }}>
      <Paper sx={{ maxWidth: 820, mx: 'auto', p: 4, boxShadow: '0 3px 12px rgb(27 35 52 / 0.15)' }}>
        <Part title="Schedule">
          <Schedule />
        </Part>
        <Part title="Cost">
          <CostPart />
        </Part>
        <Part title="Proofs">
          <Proofs />
        </Part>
        <Part title="Log">
          <Log />
        </Part>
        <FilesMade />
        <ChangesMade />
      </Paper>
    </Box>
  );
}

/** Every file that lately left the house, and of which state of the job. */
function FilesMade() {
  const head = useJob((s) => s.saving.head);
  const { data, error } = useExports();
  return (
    <Part title="Files made">
      <HandOver head={head} />
      {error && <Box role="alert">{wordsOf(error)}</Box>}
      {data?.exports.length === 0 && <Box>No file was made of this job yet; that is done under Output.</Box>}
      {data !== undefined && data.exports.length > 0 && (
        <Table size="small" aria-label="Files made">
          <TableHead>
            <TableRow>
              {['Made', 'Kind', 'Of state', 'Files'].map((name) => (
                <TableCell key={name}>{name}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {data.exports.map((one) => (
              <Made key={one.id} facts={one} kinds={data.kinds} head={head} />
            ))}
          </TableBody>
        </Table>
      )}
    </Part>
  );
}

/** All files of a state of the job in one: of the same state they are the same, byte for byte. */
function HandOver({ head }: { readonly head: number }) {
  const [asked, setAsked] = useState<number>();
  const revision = asked ?? head;
  const start = useMake('hand-over', asked);
  const docket = useMake('docket', asked);
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end' }}>
      <NumberField
        label={`state, up to ${head}`}
        value={revision}
        least={1}
        most={head}
        whole
        width={110}
        onChange={(to) => setAsked(to === head ? undefined : to)}
      />
      <Button variant="outlined" disabled={start.isPending} onClick={() => start.mutate()}>
        Hand it over
      </Button>
      <Button variant="outlined" disabled={docket.isPending} onClick={() => docket.mutate()}>
        Docket
      </Button>
    </Box>
  );
}

interface MadeProps {
  readonly facts: ExportFacts;
  readonly kinds: readonly ExportKind[];
  /** The state that is kept now. */
  readonly head: number;
}

function Made({ facts, kinds, head }: MadeProps) {
  const { at, kind, revision, files, state, problem, step } = facts;
  return (
    <TableRow>
      <TableCell sx={{ fontFamily: FACES.figure, whiteSpace: 'nowrap' }}>{momentWords(at)}</TableCell>
      <TableCell>{kinds.find((k) => k.kind === kind)?.label ?? kind}</TableCell>
      <TableCell sx={{ fontFamily: FACES.figure }}>
        {revision} {revision < head && <span>· changed since</span>}
      </TableCell>
      <TableCell>
        {state === 'done'
          ? files.map((file) => (
              <Link
                key={file.name}
                href={`/api/exports/${facts.id}/files/${file.name}`}
                color="secondary"
                sx={{ display: 'block' }}
              >
                {file.name} {formatNumber(file.bytes / 1024, 0)} kB
              </Link>
            ))
          : (problem ?? step)}
      </TableCell>
    </TableRow>
  );
}

/** What was done since the job was opened, the last first; undo leads back through it. */
function ChangesMade() {
  const steps = useJob((s) => s.undoStack);
  const named = steps.flatMap((step) => ('job' in step ? [step.label] : [])).toReversed();
  const earlier = steps.length - named.length;
  return (
    <Part title="Changed since it was opened">
      {named.length === 0 && <Box>Nothing yet.</Box>}
      <Box component="ol" aria-label="Changes, the last first" sx={{ m: 0, pl: 3, columns: 2 }}>
        {named.slice(0, MOST).map((label, i) => (
          <li key={named.length - i}>{label}</li>
        ))}
      </Box>
      {named.length > MOST && <Box>{named.length - MOST} more before these.</Box>}
      {earlier > 0 && (
        <Box sx={{ color: 'text.secondary' }}>Undo (Ctrl+Z) goes back {earlier} steps further, to earlier visits.</Box>
      )}
    </Part>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ fontSize: 14, mb: 3, display: 'grid', gap: 1 }}>
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
