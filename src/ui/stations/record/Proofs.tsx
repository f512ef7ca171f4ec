'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { changeProof, openRemarks, proofsOf, withProof, withoutProof } from '@/core/edit';
import type { Proof, ProofState } from '@/core/job';
import { counted } from '@/core/measure';
import { ChoiceField } from '../../field/ChoiceField';
import { DateField } from '../../field/DateField';
import { WordsField } from '../../field/WordsField';
import { useJob, useJobStore } from '../../open-job/context';
import { exportsKey, useExports } from '../../open-job/use-exports';
import { whenSaved } from '../../open-job/when-saved';
import { api, wordsOf } from '../../shell/api';
import { useSay } from '../../shell/Messages';
import { momentWords } from '../../shell/moments';
import { COLOURS, FACES } from '../../shell/theme';
import { fetched } from '../../shell/fetched';

/** Pictures of other states are no part of what is seen first. */
const Compare = fetched(async () => (await import('../../versions/Compare')).Compare);
const ProofRemarks = fetched(async () => (await import('./ProofRemarks')).ProofRemarks);

const STATES: Readonly<Record<ProofState, string>> = {
  sent: 'sent',
  seen: 'seen',
  changes: 'changes wanted',
  approved: 'approved',
};

/** Proofs that were made for the client, and what came back. */
export function Proofs() {
  const job = useJob((s) => s.job);
  const store = useJobStore();
  const client = useQueryClient();
  const say = useSay();
  const [to, setTo] = useState(job.client);
  const make = useMutation({
    mutationFn: async () => {
      const revision = await whenSaved(store);
      await api.exportJob(job.id, 'proof');
      return revision;
    },
    onSuccess: (revision) => {
      store.getState().change('Make a proof', (now) => withProof(now, { revision, at: new Date(), to: to.trim() }));
      void client.invalidateQueries({ queryKey: exportsKey(job.id) });
    },
    onError: (error) => say({ tone: 'problem', text: wordsOf(error) }),
  });
  const proofs = proofsOf(job);
  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'end' }}>
        <TextField label="For" value={to} onChange={(event) => setTo(event.target.value)} sx={{ width: 260 }} />
        <Button variant="outlined" disabled={make.isPending} onClick={() => make.mutate()}>
          Make a proof
        </Button>
      </Box>
      {proofs.length === 0 && <Box>No proof was made yet.</Box>}
      <Box component="ul" aria-label="Proofs" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}>
        {proofs.map((proof) => (
          <ProofLine key={proof.id} proof={proof} />
        ))}
      </Box>
    </>
  );
}

function ProofLine({ proof }: { readonly proof: Proof }) {
  const { id, revision, at, to, state, by, on } = proof;
  const change = useJob((s) => s.change);
  const [shown, setShown] = useState<'remarks' | 'changes'>();
  const job = useJob((s) => s.job.id);
  const { data } = useExports();
  const file = data?.exports.find((one) => one.kind === 'proof' && one.revision === revision && one.state === 'done');
  const answered = (more: Partial<Proof>) =>
    change('Answer of a proof', (now) => changeProof(now, id, (was) => ({ ...was, ...more })));
  const open = openRemarks(proof);
  return (
    <Box
      component="li"
      data-proof={state}
      sx={{ borderLeft: `4px solid ${state === 'approved' ? COLOURS.accent : COLOURS.line}`, pl: 1.5, py: 0.5 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'baseline' }}>
        <b>Version {revision}</b>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 12.5 }}>{momentWords(at)}</Box>
        {to !== '' && <Box>for {to}</Box>}
        {file?.files.map(({ name }) => (
          <Link key={name} href={`/api/exports/${file.id}/files/${name}`} color="secondary">
            {name}
          </Link>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', pt: 0.75 }}>
        <ChoiceField<ProofState>
          label="answer"
          width={150}
          value={state}
          options={Object.entries(STATES).map(([value, label]) => ({ value: value as ProofState, label }))}
          onChange={(now) => answered({ state: now, on: now === 'sent' ? null : (on ?? today()) })}
        />
        <WordsField label="by" most={200} width={170} value={by} onChange={(words) => answered({ by: words })} />
        <DateField label="on" value={on} onChange={(day) => answered({ on: day })} />
        <Button size="small" onClick={() => setShown('remarks')}>
          {proof.remarks.length === 0 ? 'Remarks' : `${counted(proof.remarks.length, 'remark')}, ${open} open`}
        </Button>
        <Button size="small" onClick={() => setShown('changes')}>
          What changed since
        </Button>
        <Button size="small" onClick={() => change('Take out a proof', (now) => withoutProof(now, id))}>
          Take out
        </Button>
      </Box>
      {shown === 'remarks' && <ProofRemarks proof={proof} onClose={() => setShown(undefined)} />}
      {shown === 'changes' && <Compare previous={{ job, revision }} onClose={() => setShown(undefined)} />}
    </Box>
  );
}

const today = (): string => new Date().toISOString().slice(0, 10);
