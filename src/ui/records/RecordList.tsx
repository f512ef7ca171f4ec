'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Job, Records } from '@/core/job';
import { columnsOf, countOf } from '@/core/job';
import { counted } from '@/core/measure';
import { withRecordsOf } from '@/core/edit';
import { tokenOf } from '@/core/records';
import { FileButton } from '../field/FileButton';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { wordsOf } from '../shell/api';
import { addAsset } from '../shell/bring-in';
import { Fold } from '../shell/Fold';
import { useSay } from '../shell/Messages';
import { COLOURS } from '../shell/theme';
import { LookThrough } from './LookThrough';
import { RecordPager } from './RecordPager';
import { RecordValues } from './RecordValues';

/** What differs from copy to copy: where it comes from, and the record that is looked at. */
export function RecordList() {
  const { job } = useDesk();
  const { records } = job;
  return (
    <Fold title="Records" count={records ? countOf(job) : 0} opened={records !== undefined}>
      {records ? <Chosen records={records} /> : <None />}
    </Fold>
  );
}

/** The record that is looked at, and what is wrong with others, where a job has records. */
export function RecordsHere() {
  const { job } = useDesk();
  if (!job.records) return null;
  return (
    <Fold title="Records" count={countOf(job)} opened>
      <RecordPager />
      <RecordValues />
      <LookThrough />
    </Fold>
  );
}

const withRecords = (job: Job, records: Records | undefined): Job => ({ ...job, records });

/** Brings in a file of rows. */
function BringIn({ children }: { readonly children: string }) {
  const change = useJob((s) => s.change);
  const show = useJob((s) => s.showRecord);
  const say = useSay();
  const take = async (file: File) => {
    try {
      const { sha, asset } = await addAsset(file);
      if (asset.kind !== 'data') {
        say({ tone: 'problem', text: `“${file.name}” has no rows: save them as CSV. Nothing was changed.` });
        return;
      }
      change(`Records of ${asset.name}`, (now) =>
        withRecordsOf({ ...now, assets: { ...now.assets, [sha]: asset } }, sha),
      );
      show(0);
      say({ tone: 'done', text: `${counted(asset.rows, 'record')}, ${counted(asset.columns.length, 'column')}.` });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <FileButton asks="Rows of a spreadsheet, CSV" accept=".csv,.tsv" onFile={(file) => void take(file)}>
      {children}
    </FileButton>
  );
}

function None() {
  const change = useJob((s) => s.change);
  return (
    <>
      <Box sx={{ fontSize: 13 }}>
        Names on cards, numbers on labels: what differs from copy to copy comes from the rows of a spreadsheet, or is
        counted.
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <BringIn>Rows from CSV</BringIn>
        <Button
          size="small"
          variant="outlined"
          onClick={() =>
            change('Number the copies', (now) =>
              withRecords(now, { from: 'count', first: 1, step: 1, count: now.quantity ?? 100, digits: 3 }),
            )
          }
        >
          Count on
        </Button>
      </Box>
    </>
  );
}

function Chosen({ records }: { readonly records: Records }) {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  const asset = records.from === 'file' ? job.assets[records.file] : undefined;
  const [column = ''] = columnsOf(job);
  return (
    <>
      {records.from === 'file' ? (
        <Box sx={{ fontSize: 13 }}>
          <b>{asset?.name ?? 'A file that is not here'}</b>, {counted(countOf(job), 'record')}
        </Box>
      ) : (
        <Counting records={records} />
      )}
      <RecordPager />
      <RecordValues />
      <Box sx={{ fontSize: 12, color: COLOURS.sheetSoft }}>
        Type {tokenOf(column)} into words or a code, or choose the column in their slip.
      </Box>
      <LookThrough />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <BringIn>{records.from === 'file' ? 'Other rows' : 'Rows from CSV'}</BringIn>
        <Button size="small" onClick={() => change('No records', (now) => withRecords(now, undefined))}>
          Copies alike
        </Button>
      </Box>
    </>
  );
}

type Counted = Extract<Records, { from: 'count' }>;

function Counting({ records }: { readonly records: Counted }) {
  const change = useJob((s) => s.change);
  const set = (label: string, to: Partial<Counted>) =>
    change(label, (now) =>
      now.records?.from === 'count'
        ? withRecords(now, { ...now.records, ...to })
        : withRecords(now, { ...records, ...to }),
    );
  const { first, step, count, digits } = records;
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      <NumberField
        label="first"
        value={first}
        least={0}
        most={1e15}
        whole
        width={130}
        onChange={(to) => set('First number', { first: to })}
      />
      <NumberField
        label="step"
        value={step}
        least={1}
        most={1_000_000}
        whole
        width={60}
        onChange={(to) => set('Step', { step: to })}
      />
      <NumberField
        label="copies"
        value={count}
        least={1}
        most={100_000}
        whole
        width={84}
        onChange={(to) => set('Copies', { count: to })}
      />
      <NumberField
        label="digits"
        value={digits}
        least={1}
        most={20}
        whole
        width={60}
        onChange={(to) => set('Digits', { digits: to })}
      />
    </Box>
  );
}
