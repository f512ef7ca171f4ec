'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { lostByChange } from '@/core/check';
import { formatOf, type Format } from '@/core/format';
import { copiedTo, parametersOf, usualTimes, type Job } from '@/core/job';
import { NumberField } from '../field/NumberField';
import { DecisionForm, askedOf, givenOf, type Typed } from '../format/DecisionForm';
import { FormatGallery } from '../format/FormatGallery';
import { useJob } from '../open-job/context';
import { pieceOf } from '@/core/edit';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';

/** Things named of those that will not fit; then how many more there are. */
const SHOWN = 8;

/** A side sheet that copies the piece to another format as a job of its own. */
export function CopyTo({ onClose }: { readonly onClose: () => void }) {
  return (
    <Drawer anchor="right" open onClose={onClose}>
      <Form onClose={onClose} />
    </Drawer>
  );
}

function Form({ onClose }: { readonly onClose: () => void }) {
  const job = useJob((s) => s.job);
  const piece = pieceOf(job);
  const [format, setFormat] = useState<Format | undefined>(formatOf(piece.kind));
  const [name, setName] = useState('');
  const [typed, setTyped] = useState<Typed>({});
  const [times, setTimes] = useState<number>();
  const [shown, setShown] = useState(false);
  const [sending, setSending] = useState(false);
  const router = useRouter();
  const say = useSay();
  const given = useMemo(() => (format ? givenOf(askedOf(format), typed) : {}), [format, typed]);
  const usual = useMemo(() => (format ? usualTimes(job, format, given) : undefined), [job, format, given]);
  if (!format) return null;
  const called = name.trim() || `${job.name}, ${format.title.toLowerCase()}`.slice(0, 200);
  const copy = copiedTo(job, format, given, { id: 'copy', name: called, times: times ?? usual ?? 1 });
  const submit = async () => {
    setShown(true);
    if (!copy.ok) return;
    setSending(true);
    try {
      const made = await api.create({ ...copy.job, id: crypto.randomUUID() }, `Copied from ${job.name}`);
      router.push(`/jobs/${made.id}?at=lay-out`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
      setSending(false);
    }
  };
  /** What an empty field keeps of the piece, where the new kind has a decision of that name. */
  const kept = (key: string) => {
    const parameter = parametersOf(format)[key];
    const value = piece.decisions[key];
    return parameter &&
      value !== undefined &&
      Object.hasOwn(format.parameters, key) &&
      parameter.schema.safeParse(value).success
      ? parameter.write(value, job.unit, 300)
      : undefined;
  };
  return (
    <DecisionForm
      gallery={<FormatGallery chosen={format.kind} unit={job.unit} onChoose={setFormat} />}
      asked={askedOf(format)}
      about={format.about}
      title={`Copy to ${/^[aeiou]/i.test(format.title) ? 'an' : 'a'} ${format.title.toLowerCase()}`}
      name={name}
      onName={setName}
      called={called}
      typed={typed}
      onType={setTyped}
      unit={job.unit}
      started={copy}
      shown={shown}
      kept={kept}
      verb="Make the copy"
      sending={sending}
      onSubmit={() => void submit()}
      onClose={onClose}
      head={
        <NumberField
          label="Type and fixed lengths, times"
          name="times"
          value={times ?? usual ?? 1}
          least={0.01}
          most={100}
          width="100%"
          hint={
            usual === undefined || usual === 1
              ? '1 leaves them as they are'
              : `${usual} goes with the format; 1 leaves them as they are`
          }
          onChange={setTimes}
        />
      }
      foot={<Losses before={job} after={copy.ok ? copy.job : undefined} />}
    />
  );
}

/** What the copy has no place for; it is in it all the same. */
function Losses({ before, after }: { readonly before: Job; readonly after: Job | undefined }) {
  const lost = useMemo(() => (after ? lostByChange(before, after) : []), [before, after]);
  if (lost.length === 0) return null;
  return (
    <Alert severity="warning">
      {lost.length === 1 ? 'One thing has no place there yet:' : `${lost.length} things have no place there yet:`}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {lost.slice(0, SHOWN).map((l) => (
          <li key={`${l.side} ${l.element}`}>
            {l.name} ({l.side}): {l.why}
          </li>
        ))}
        {lost.length > SHOWN && <li>and {lost.length - SHOWN} more</li>}
      </Box>
      They are copied with the rest.
    </Alert>
  );
}
