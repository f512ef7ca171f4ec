'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { shownBuild, type Rgb } from '@/core/colour';
import { solidInk } from '@/core/compose';
import { elementsOn, paintKey, paintsOf, styleBook, type Job, type Swatch } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { FileButton } from '../field/FileButton';
import { SolidPaintField } from '../field/PaintField';
import { WordsField } from '../field/WordsField';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { Fold } from '../shell/Fold';
import {
  mergedSwatches,
  named,
  nearDuplicates,
  unusedColours,
  withSwatch,
  withSwatchesOf,
  withoutSwatch,
} from '@/core/edit';

const withPictureColour = (job: Job, rgb: Rgb): Job =>
  withSwatch(job, { name: freeName(job.swatches ?? [], 'picture'), paint: { kind: 'rgb', ...rgb } });

/** Colours with names of their use; what has one follows it. */
export function SwatchList() {
  const { job, piece, surface, paints } = useDesk();
  const change = useJob((s) => s.change);
  const store = useJobStore();
  const selection = useJob((s) => s.selection);
  const say = useSay();
  const swatches = job.swatches ?? [];
  const unused = new Set(unusedColours(job).swatches);
  const only = elementsOn(piece, surface.name).find((e) => selection.length === 1 && e.id === selection[0]);
  const [paint] = only ? paintsOf(only, styleBook(job)) : [];
  const pairs = nearDuplicates(swatches, (s) => paints.buildLab(shownBuild(solidInk(s.paint, paints))));
  const take = async (file: File) => {
    const text = await file.text();
    const read = withSwatchesOf(store.getState().job, text);
    if (typeof read === 'string') say({ tone: 'problem', text: `${file.name}: ${read}` });
    else change('Colours from a file', () => read);
  };
  const fromPicture = async (sha: string) => {
    try {
      const { colours } = await api.palette(sha);
      change('Colours from a picture', (now) => colours.reduce(withPictureColour, now));
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <Fold title="Named colours" count={swatches.length}>
      {swatches.length === 0 && (
        <Box sx={{ fontSize: 13 }}>
          Name a colour for its use, such as “headings”. Change it here, and everything that has it follows.
        </Box>
      )}
      {swatches.map((swatch) => (
        <Box key={swatch.name} data-swatch={swatch.name} sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
          <WordsField
            label={unused.has(swatch.name) ? 'name (not used)' : 'name'}
            value={swatch.name}
            most={60}
            width={122}
            refuse={(name) =>
              name === ''
                ? 'A colour needs a name.'
                : swatches.some((s) => s.name !== swatch.name && s.name.toLowerCase() === name.toLowerCase())
                  ? 'Another colour is called so.'
                  : undefined
            }
            onChange={(name) => change('Colour', (now) => withSwatch(now, { ...swatch, name }, swatch.name))}
          />
          <SolidPaintField
            label="colour"
            value={swatch.paint}
            onChange={(to) =>
              to &&
              to.kind !== 'swatch' &&
              change('Colour', (now) => withSwatch(now, { ...swatch, paint: to }, swatch.name))
            }
          />
          <Button
            size="small"
            sx={{ minWidth: 0 }}
            aria-label={`Remove the name ${swatch.name}; what has it keeps its inks`}
            onClick={() => change('Remove colour', (now) => withoutSwatch(now, swatch.name))}
          >
            ✕
          </Button>
        </Box>
      ))}
      {pairs.map(({ one, two, deltaE }) => (
        <Box key={`${one.name} ${two.name}`} sx={{ fontSize: 13 }}>
          {one.name} and {two.name} pass for one (ΔE {formatNumber(deltaE, 1)}).{' '}
          <Button
            size="small"
            onClick={() => change('Merge colours', (now) => mergedSwatches(now, two.name, one.name))}
          >
            Make both {one.name}
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        <Button
          size="small"
          disabled={!paint || paint.kind === 'swatch'}
          onClick={() => {
            if (!paint || paint.kind === 'swatch') return;
            const name = freeName(swatches);
            change('Name a colour', (now) =>
              named(withSwatch(now, { name, paint }), name, (p) => paintKey(p) === paintKey(paint)),
            );
          }}
        >
          Name the selected colour
        </Button>
        <Button
          size="small"
          onClick={() =>
            change('Add a colour', (now) =>
              withSwatch(now, {
                name: freeName(now.swatches ?? []),
                paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 },
              }),
            )
          }
        >
          Add a colour
        </Button>
        <FileButton
          asks="Colours, CSV: a name and a colour on each row"
          accept=".csv,.txt,.tsv"
          onFile={(file) => void take(file)}
        >
          From CSV
        </FileButton>
        {only?.kind === 'picture' && only.picture !== null && (
          <Button size="small" onClick={() => only.picture !== null && void fromPicture(only.picture)}>
            From this picture
          </Button>
        )}
        {unused.size > 0 && (
          <Button
            size="small"
            onClick={() => change('Remove unused colours', (now) => [...unused].reduce(withoutSwatch, now))}
          >
            Remove what is not used
          </Button>
        )}
      </Box>
    </Fold>
  );
}

function freeName(swatches: readonly Swatch[], word = 'colour'): string {
  let n = 1;
  while (swatches.some((s) => s.name === `${word} ${n}`)) n += 1;
  return `${word} ${n}`;
}
