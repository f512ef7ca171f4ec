'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { apartFrom, contrastsOn, typeFrom, VISIONS, type Vision } from '@/core/eyes';
import { formatNumber } from '@/core/measure';
import { useJobStore } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { ChoiceField } from '../../field/ChoiceField';
import { Heading } from '../../shell/Heading';
import { COLOURS, FACES } from '../../shell/theme';
import { useEyesView } from '../../view/eyes-view';

const VISION_WORDS: Readonly<Record<Vision, string>> = {
  usual: 'all three cones',
  protan: 'without red cones',
  deutan: 'without green cones',
  tritan: 'without blue cones',
};

/** From where one looks, m. */
const DISTANCES = [0, 0.5, 1, 2, 3, 5, 10, 20, 50, 100] as const;

/** So many texts that are hard to read are named. */
const NAMED = 6;

/** How the piece is seen: from where it will hang, by whose eyes, and how its words stand against their ground. */
export function EyesFields() {
  const { distance, vision, set } = useEyesView();
  const { blank, job } = useDesk();
  const from = distance / 1000;
  const options = [...new Set([...DISTANCES, job.readingDistance / 1000, from])].sort((a, b) => a - b);
  return (
    <section aria-label="Eyes">
      <Heading>Eyes</Heading>
      <Box sx={{ px: 2.5, py: 0.5, display: 'grid', gap: 1, fontSize: 13.5, lineHeight: 1.35 }}>
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <ChoiceField
            label="seen from"
            width={120}
            value={String(from)}
            options={options.map((m) => ({ value: String(m), label: m === 0 ? 'the screen' : `${formatNumber(m)} m` }))}
            onChange={(m) => set({ distance: Number(m) * 1000 })}
          />
          <ChoiceField<Vision>
            label="by eyes with"
            width={180}
            value={vision}
            options={VISIONS.map((value) => ({ value, label: VISION_WORDS[value] }))}
            onChange={(to) => set({ vision: to })}
          />
        </Box>
        {distance > 0 && (
          <Box role="status">
            From {formatNumber(from)} m what is nearer together than {formatNumber(apartFrom(distance), 2)} mm runs into
            one; type of {formatNumber(typeFrom(distance), 1)} pt is only just told apart
            {blank.scale === 1 ? '' : ' (in life)'}.
          </Box>
        )}
        <Contrasts vision={vision} />
      </Box>
    </section>
  );
}

/** Words that are hard to tell from their ground, the worst first. */
function Contrasts({ vision }: { readonly vision: Vision }) {
  const { drawing, resources, job, nameIn } = useDesk();
  const store = useJobStore();
  const found = useMemo(() => {
    const paper = rgbOf(job.stock.white ?? '#ffffff');
    return contrastsOn(drawing, { toRgb: resources.colour.toRgb, paper, vision });
  }, [drawing, resources, job.stock.white, vision]);
  const weak = found.filter(({ ratio, wanted }) => ratio < wanted);
  if (found.length === 0) return null;
  return (
    <Box>
      {weak.length === 0 ? (
        <Box>All words on flat colours stand out: the faintest {formatNumber(found[0]?.ratio ?? 0, 1)} to 1.</Box>
      ) : (
        <Box component="ul" aria-label="Faint words" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}>
          {weak.slice(0, NAMED).map(({ element, ratio, wanted }) => (
            <Box component="li" key={element} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              <Box sx={{ flex: 1 }}>
                <span aria-hidden>▲</span> {nameIn(element) ?? 'Words'}
              </Box>
              <Box sx={{ fontFamily: FACES.figure, fontSize: 12.5, color: COLOURS.warning }}>
                {formatNumber(ratio, 1)} : 1, {formatNumber(wanted)} wanted
              </Box>
              <Button size="small" variant="outlined" onClick={() => store.getState().select([element])}>
                Show
              </Button>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** “#rrggbb” as numbers. */
function rgbOf(hex: string) {
  const [r = 255, g = 255, b = 255] = (hex.match(/[0-9a-f]{2}/gi) ?? []).map((pair) => parseInt(pair, 16));
  return { r, g, b };
}
