'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { findingsLike, frameLike, type Finding } from '@/core/check';
import type { Job } from '@/core/job';
import type { Remark } from '@/intake';
import { useJob, useJobStore } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { useFix } from '../../open-job/use-fix';
import { whenSaved } from '../../open-job/when-saved';
import { api, wordsOf, type HouseAnswer } from '../../shell/api';
import { Heading } from '../../shell/Heading';
import { useSay } from '../../shell/Messages';
import { RemarkBox } from '../../shell/RemarkBox';
import { saveReply } from '../../shell/save-reply';
import { COLOURS } from '../../shell/theme';

/** A reply, and the state of the job that it is about. */
interface Asked extends HouseAnswer {
  readonly of: Job;
}

/** Has the press file read by the print house, as if it had been sent: what it answers, and what can be done. */
export function HouseSays() {
  const store = useJobStore();
  const job = useJob((s) => s.job);
  const house = job.house.name || 'a print house';
  const [asked, setAsked] = useState<Asked>();
  const going = useRef<AbortController>(undefined);
  const [isStopped, setStopped] = useState(false);
  useEffect(() => () => going.current?.abort(), []);
  const stop = () => {
    setStopped(true);
    going.current?.abort();
  };
  const ask = useMutation({
    mutationFn: async () => {
      const control = new AbortController();
      going.current = control;
      setStopped(false);
      const head = await whenSaved(store);
      const { job: of } = store.getState();
      return { of, ...(await api.askHouse(of.id, head, control.signal)) };
    },
    onSuccess: setAsked,
  });
  const say = useSay();
  const saved = (answer: HouseAnswer) =>
    saveReply(answer, job.name, job.house.name).catch((error: unknown) =>
      say({ tone: 'problem', text: wordsOf(error) }),
    );
  const isOld = asked !== undefined && asked.of !== job;
  return (
    <section aria-label="The print house">
      <Heading>The print house</Heading>
      <Box sx={{ px: 2.5, py: 0.5, display: 'grid', gap: 1, fontSize: 13.5, lineHeight: 1.35 }}>
        <Box>What {house} would answer to the press file: it reads the bytes, and knows nothing else of the job.</Box>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <Button size="small" variant="outlined" disabled={ask.isPending} onClick={() => ask.mutate()}>
            {asked ? 'Ask again' : 'Ask the house'}
          </Button>
          {ask.isPending && (
            <>
              <CircularProgress size={16} aria-label="The file is made and read" />
              <Button size="small" onClick={stop}>
                Stop
              </Button>
            </>
          )}
        </Box>
        {ask.error && !isStopped && <Box role="alert">{wordsOf(ask.error)}</Box>}
        {asked && !ask.isPending && (
          <Box role="status">
            <b>{asked.reply.answer}</b>
            {isOld && ' — but the job has changed since. Ask again.'}
            <Button size="small" onClick={() => void saved(asked)} sx={{ ml: 1 }}>
              Save the reply
            </Button>
          </Box>
        )}
      </Box>
      {asked && (
        <Box
          component="ol"
          aria-label="Remarks of the print house"
          sx={{ m: 0, p: 0, px: 2.5, pb: 1, listStyle: 'none', color: COLOURS.ink }}
        >
          {asked.reply.remarks.map((remark, i) => (
            <RemarkBox key={`${remark.rule} ${remark.found}`} remark={remark} picture={asked.pictures[i] ?? ''}>
              <Answers remark={remark} />
            </RemarkBox>
          ))}
        </Box>
      )}
    </section>
  );
}

/** The element that a remark is about, and the fixes of what our own rules say of it. */
function Answers({ remark: { rule, pages, where } }: { readonly remark: Remark }) {
  const { blank, drawingOf } = useDesk();
  const store = useJobStore();
  const findings = useFindings();
  const fix = useFix();
  const [page] = pages;
  const surface = page === undefined ? undefined : blank.surfaces[page - 1]?.name;
  const like = findingsLike({ rule, surface, where }, findings);
  const frame = surface !== undefined && where ? frameLike(where, drawingOf(surface)?.frames ?? []) : undefined;
  const element = like[0]?.element ?? frame?.element;
  const side = like[0]?.surface ?? surface;
  const see = () => {
    const { show, select } = store.getState();
    if (side !== undefined) show(side);
    if (element) select([element]);
  };
  if (side === undefined && like.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, pt: 0.5 }}>
      <Button size="small" variant="outlined" onClick={see}>
        Show
      </Button>
      {fixesOf(like).map(({ finding, index, label }) => (
        <Button key={label} size="small" variant="contained" onClick={() => fix(finding, index)}>
          {label}
        </Button>
      ))}
    </Box>
  );
}

/** Fixes by their labels, each once. */
function fixesOf(findings: readonly Finding[]) {
  const known = new Map<string, { finding: Finding; index: number; label: string }>();
  for (const finding of findings)
    finding.fixes.forEach(({ label }, index) => {
      if (!known.has(label)) known.set(label, { finding, index, label });
    });
  return [...known.values()];
}
