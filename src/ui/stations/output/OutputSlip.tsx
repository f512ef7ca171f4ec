'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { formatNumber, formatSize } from '@/core/measure';
import { sideMarks } from '@/core/marks';
import { SLUG_FACE } from '@/core/compose';
import { NumberField } from '../../field/NumberField';
import { useJob, useJobStore } from '../../open-job/context';
import { useDesk, useFindings } from '../../open-job/use-desk';
import { exportsKey, isOpen, useExports } from '../../open-job/use-exports';
import { api, wordsOf, type ExportFacts } from '../../shell/api';
import { useSay } from '../../shell/Messages';
import { clockWords } from '../../shell/moments';
import { COLOURS, FACES } from '../../shell/theme';
import { Group, Groups, Slip } from '../../slip/Slip';
import { ColourFields } from './ColourFields';
import { DeskFields } from './DeskFields';
import type { Job } from '@/core/job';

const MARKS = [
  ['corner', 'corners'],
  ['centre', 'centres'],
  ['register', 'register'],
  ['colourBar', 'colour bar'],
  ['slugLine', 'slug line'],
  ['fold', 'fold ticks'],
] as const;

/** What leaves the house: marks and profile, and the files. */
export function OutputSlip() {
  const { job, rules, surface, drawing, piece, blank, resources } = useDesk();
  const change = useJob((s) => s.change);
  const findings = useFindings();
  const faults = findings.filter((f) => f.severity === 'fault').length;
  const { marks } = job.output;
  const face = resources.fonts.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const { sheet } = sideMarks(job, { piece, surface, drawing, rules, scale: blank.scale }, face, '0000-00-00');
  return (
    <Slip label="Output">
      {faults > 0 && (
        <Box role="status" sx={{ mb: 1, fontSize: 13.5, color: 'error.main' }}>
          ✕ {faults} {faults === 1 ? 'fault is' : 'faults are'} still open. The files can be made, but the press would
          print {faults === 1 ? 'it' : 'them'}.
        </Box>
      )}
      <Exports />
      <Groups>
        <Group title="Marks">
          {MARKS.map(([key, label]) => (
            <FormControlLabel
              key={key}
              sx={{ mr: 0.5 }}
              control={
                <Checkbox
                  size="small"
                  checked={marks[key]}
                  onChange={(event) => change('Marks', (now) => withMark(now, key, event.target.checked))}
                />
              }
              label={label}
              slotProps={{ typography: { sx: { fontSize: 13.5 } } }}
            />
          ))}
        </Group>
        <ColourFields />
        <Group title="Preview">
          <NumberField
            label="longest side"
            value={job.output.previewPixels}
            least={100}
            most={10_000}
            whole
            width={96}
            after=" px"
            onChange={(px) =>
              change('Preview size', (now) => ({ ...now, output: { ...now.output, previewPixels: px } }))
            }
          />
        </Group>
        <DeskFields />
        <Group title="Sheet with marks">
          <Box sx={{ fontFamily: FACES.figure, fontSize: 14, pb: 0.5 }}>
            {formatSize(
              { width: Math.round(sheet.width * 100) / 100, height: Math.round(sheet.height * 100) / 100 },
              job.unit,
            )}
          </Box>
        </Group>
      </Groups>
      <Box sx={{ mt: 0.75, fontSize: 11.5, color: 'text.secondary' }}>
        Cutting by hand: a fresh blade along a metal rule, on a mat, away from the hand. A guillotine is for trained
        people.
      </Box>
    </Slip>
  );
}

function Exports() {
  const { blank, piece } = useDesk();
  // Only what this piece has something for.
  const isDrawn = Object.values(piece.finish ?? {}).some((list) => list.some((f) => f.does === 'line'));
  const hasLines = isDrawn || blank.surfaces.some((s) => s.processLines.length > 0);
  const has = { lines: hasLines, 'lines or folds': hasLines || blank.folding !== undefined };
  const store = useJobStore();
  const id = useJob((s) => s.job.id);
  const isSaved = useJob((s) => s.saving.phase.is === 'saved');
  const client = useQueryClient();
  const say = useSay();
  const { data } = useExports();
  const refresh = () => client.invalidateQueries({ queryKey: exportsKey(id) });
  const start = useMutation({
    mutationFn: async (kind: string) => {
      await settled(store);
      return api.exportJob(id, kind);
    },
    onSuccess: refresh,
    onError: (error) => say({ tone: 'problem', text: wordsOf(error) }),
  });
  const stop = useMutation({ mutationFn: (exportId: string) => api.cancelExport(exportId), onSuccess: refresh });
  return (
    <Box sx={{ mb: 1.25, pb: 1.25, borderBottom: `1px solid ${COLOURS.line}`, display: 'grid', gap: 1.25 }}>
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

/** Waits until what was done last is saved, so that the export shows it. */
async function settled(store: ReturnType<typeof useJobStore>): Promise<void> {
  for (let i = 0; i < 100; i += 1) {
    if (store.getState().saving.phase.is === 'saved') return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('The job could not be saved, so nothing was exported. See the note at the top of the page.');
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

/** A kind of marks on the sheet or off it. */
const withMark = (job: Job, key: (typeof MARKS)[number][0], isOn: boolean): Job => ({
  ...job,
  output: { ...job.output, marks: { ...job.output.marks, [key]: isOn } },
});
