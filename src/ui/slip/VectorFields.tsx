'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { samePaint } from '@/core/compose';
import type { Beyond } from '@/core/element';
import type { ElementOf, SolidPaint } from '@/core/job';
import { counted } from '@/core/measure';
import type { VectorArt } from '@/core/shape';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { NumberField } from '../field/NumberField';
import { SolidPaintField } from '../field/PaintField';
import { useJob } from '../open-job/context';
import { ungrouped, withJob } from '@/core/edit';
import { useDesk } from '../open-job/use-desk';
import { Opener } from './Opener';
import { Group } from './Slip';
import { useChange } from './use-change';

/** Most colours of a drawing that are listed. */
const MOST = 24;

const coloursOf = (art: VectorArt): readonly SolidPaint[] => {
  const found = new Map<string, SolidPaint>();
  for (const { fill, stroke } of art.shapes)
    for (const paint of [fill, stroke?.paint]) if (paint) found.set(JSON.stringify(paint), paint);
  return [...found.values()];
};

/** A drawing’s colours, and taking it apart. */
export function VectorFields({ element }: { readonly element: ElementOf<'vector'> }) {
  const change = useChange(element);
  const desk = useDesk();
  const make = useJob((s) => s.make);
  const asset = desk.job.assets[element.drawing];
  const art = desk.resources.art(element.drawing);
  const set = (label: string, values: Partial<ElementOf<'vector'>>) =>
    change(label, (el) => (el.kind === 'vector' ? { ...el, ...values } : el));
  const recolour = (from: SolidPaint, to: SolidPaint) =>
    set('Recolour', { recolour: [...element.recolour.filter((r) => !samePaint(r.from, from)), { from, to }] });
  const colours = art ? coloursOf(art) : [];
  return (
    <Group title="Drawing">
      <Box sx={{ fontSize: 13, maxWidth: 190, lineHeight: 1.35 }}>
        <b>{asset?.name ?? 'A drawing'}</b>
        <br />
        {art ? `${counted(art.shapes.length, 'shape')}, ${counted(colours.length, 'colour')}` : 'not here'}
      </Box>
      <Opener label="Colours" count={element.recolour.length} width={420}>
        <Group title="Colours of the drawing">
          {colours.slice(0, MOST).map((from, i) => (
            <SolidPaintField
              key={JSON.stringify(from)}
              label={`colour ${i + 1}`}
              value={element.recolour.find((r) => samePaint(r.from, from))?.to ?? from}
              onChange={(to) => to && recolour(from, to)}
            />
          ))}
        </Group>
      </Opener>
      <CheckField label="stretch" checked={element.stretch} onChange={(stretch) => set('Stretch', { stretch })} />
      <Button
        size="small"
        variant="outlined"
        disabled={!art}
        onClick={() => art && make('Take the drawing apart', (now) => ungrouped(withJob(desk, now), element, art))}
      >
        Take apart
      </Button>
    </Group>
  );
}

const BEYOND_OPTIONS: readonly { readonly value: Beyond; readonly label: string }[] = [
  { value: 'nothing', label: 'nothing' },
  { value: 'own', label: 'what the file has' },
  { value: 'mirrored', label: 'its edge mirrored' },
  { value: 'stretched', label: 'the page larger' },
];

/** Which page of a PDF is shown. */
export function PageFields({ element }: { readonly element: ElementOf<'page'> }) {
  const change = useChange(element);
  const { job } = useDesk();
  const asset = job.assets[element.document];
  const pages = asset?.kind === 'document' ? asset.pages.length : 1;
  return (
    <Group title="PDF page">
      <Box sx={{ fontSize: 13, maxWidth: 190, lineHeight: 1.35 }}>
        <b>{asset?.name ?? 'A PDF'}</b>
        <br />
        kept as vectors for the press
      </Box>
      <NumberField
        label={`page of ${pages}`}
        name="page"
        value={element.page}
        least={1}
        most={pages}
        whole
        width={76}
        onChange={(page) => change('Page', (el) => (el.kind === 'page' ? { ...el, page } : el))}
      />
      <ChoiceField<Beyond>
        label="in the bleed"
        width={150}
        value={element.beyond}
        options={BEYOND_OPTIONS}
        onChange={(beyond) => change('Bleed', (el) => (el.kind === 'page' ? { ...el, beyond } : el))}
      />
    </Group>
  );
}
