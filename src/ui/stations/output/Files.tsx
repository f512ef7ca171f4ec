'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { formatNumber } from '@/core/measure';
import { useJob, useJobStore } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { whenSaved } from '../../open-job/when-saved';
import { exportsKey, isOpen, useExports } from '../../open-job/use-exports';
import { api, wordsOf, type ExportFacts } from '../../shell/api';
import { useSay } from '../../shell/Messages';
import { clockWords, durationWords } from '../../shell/moments';
import { Heading } from '../../shell/Heading';
import { COLOURS, FACES } from '../../shell/theme';
import { FileNames } from './FileNames';

/** What leaves the house: the files, and what has been made of the job so far. */
export function Files() {
  const findings = useFindings();
  const faults = findings.filter((f) => f.severity === 'fault').length;
  return (
    <section aria-label="Files">
      <Heading>Files</Heading>
      {faults > 0 && (
        <Box role="status" sx={{ px: 2.5, pt: 0.5, fontSize: 13.5, fontWeight: 600 }}>
          ✕ {faults} {faults === 1 ? 'fault is' : 'faults are'} still open. The files can be made, but the press would
          print {faults === 1 ? 'it' : 'them'}.
        </Box>
      )}
      <Exports />
      <Box sx={{ px: 2.5, pb: 1, fontSize: 12, color: COLOURS.sheetSoft }}>
        Cutting by hand: a fresh blade along a metal rule, on a mat, away from the hand. A guillotine is for trained
        people.
      </Box>
    </section>
  );
}

function Exports() {
  const { blank, piece } = useDesk();
  // Only what this piece has something for.
  const isDrawn = Object.values(piece.finish ?? {}).some((list) => list.some((f) => f.does === 'line'));
  const hasLines = isDrawn || blank.surfaces.some((s) => s.processLines.length > 0);
  const has = {
    pages: blank.bound === 'saddle',
    lines: hasLines,
    'lines or folds': hasLines || blank.folding !== undefined,
  };
  const store = useJobStore();
  const id = useJob((s) => s.job.id);
  const isSaved = useJob((s) => s.saving.phase.is === 'saved');
  const client = useQueryClient();
  const say = useSay();
  const { data } = useExports();
  const refresh = () => client.invalidateQueries({ queryKey: exportsKey(id) });
  const start = useMutation({
    mutationFn: async (kind: string) => {
      await whenSaved(store);
      return api.exportJob(id, kind);
    },
    onSuccess: refresh,
    onError: (error) => say({ tone: 'problem', text: wordsOf(error) }),
  });
  const stop = useMutation({ mutationFn: (exportId: string) => api.cancelExport(exportId), onSuccess: refresh });
  return (
    <Box sx={{ px: 2.5, pt: 0.5, pb: 1.25, display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, alignItems: 'start' }}>
        {data?.kinds
          .filter(({ needs }) => needs === undefined || has[needs])
          .map(({ kind, label, about, isMain }) => (
            <Box key={kind} sx={{ display: 'grid', gap: 0.25 }}>
              <Button
                variant={isMain ? 'contained' : 'outlined'}
                onClick={() => start.mutate(kind)}
                disabled={start.isPending || (!isSaved && start.isPending)}
              >
                {label}
              </Button>
              <Box sx={{ fontSize: 11.5, color: 'text.secondary', lineHeight: 1.25, overflowWrap: 'anywhere' }}>
                {about}
              </Box>
            </Box>
          ))}
      </Box>
      <FileNames />
      <Box
        component="ul"
        aria-label="Exports"
        sx={{
          flex: 1,
          minWidth: 190,
          m: 0,
          p: 0,
          listStyle: 'none',
          maxHeight: 120,
          overflowY: 'auto',
          fontSize: 13.5,
        }}
      >
        {data?.exports.length === 0 && (
          <Box component="li" sx={{ color: 'text.secondary' }}>
            No files made yet.
          </Box>
        )}
        {data?.exports.map((e) => (
          <ExportLine key={e.id} facts={e} onStop={() => stop.mutate(e.id)} />
        ))}
      </Box>
    </Box>
  );
}

function ExportLine({ facts, onStop }: { readonly facts: ExportFacts; readonly onStop: () => void }) {
  return (
    <Box component="li" data-export={facts.state} sx={{ display: 'flex', gap: 1, alignItems: 'center', py: 0.25 }}>
      <Box sx={{ width: 64, fontFamily: FACES.figure, color: 'text.secondary', fontSize: 12 }}>
        {clockWords(facts.at)}
      </Box>
      {isOpen(facts) ? (
        <>
          <Box sx={{ flex: 1 }}>
            {facts.step}
            {facts.left === null ? '' : ` · ${durationWords(facts.left)} left`}
            <LinearProgress variant="determinate" value={facts.share * 100} aria-label={facts.step} />
          </Box>
          <Button size="small" onClick={onStop}>
            Cancel
          </Button>
        </>
      ) : facts.state === 'done' ? (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          {facts.files.map((file) => (
            <Link
              key={file.name}
              href={`/api/exports/${facts.id}/files/${file.name}`}
              color="secondary"
              sx={{ fontWeight: 600 }}
            >
              {file.name} <span style={{ fontWeight: 400 }}>{formatNumber(file.bytes / 1024, 0)} kB</span>
            </Link>
          ))}
        </Box>
      ) : (
        <Box sx={{ color: facts.state === 'failed' ? 'error.main' : 'text.secondary' }}>
          {facts.problem ?? facts.step}
        </Box>
      )}
    </Box>
  );
}
