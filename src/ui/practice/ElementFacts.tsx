'use client';
import Box from '@mui/material/Box';
import { pictureAsset } from '@/core/job';
import { effectivePpi } from '@/core/compose';
import { writeBuild } from '@/core/colour';
import { leavesOf, type Frame } from '@/core/drawing';
import { EDGE_NAMES, insets } from '@/core/layout';
import { formatLength, formatNumber, formatSize, mmToPt } from '@/core/measure';
import { useJob } from '../open-job/context';
import { useDesk, type Desk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import { FACES } from '../shell/theme';

/** What can be measured of what is chosen, in figures. */
export function ElementFacts() {
  const desk = useDesk();
  const [id] = useJob((s) => s.selection);
  const frame = desk.drawing.frames.find(({ element }) => element === id);
  if (!frame) return null;
  return (
    <section aria-label="What is chosen, in figures">
      <Heading>{frame.name}</Heading>
      <Box
        component="dl"
        sx={{ m: 0, px: 2.5, py: 0.5, display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 2 }}
      >
        {factsOf(frame, desk).map(([name, value]) => (
          <Box key={name} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ fontSize: 14 }}>
              {name}
            </Box>
            <Box component="dd" sx={{ m: 0, fontFamily: FACES.figure, fontSize: 13, textAlign: 'right' }}>
              {value}
            </Box>
          </Box>
        ))}
      </Box>
    </section>
  );
}

type Fact = readonly [name: string, value: string];

function factsOf(frame: Frame, { job, blank, drawing }: Desk): readonly Fact[] {
  const write = (mm: number) => formatLength(mm * blank.scale, job.unit);
  const toTrim = insets(frame.ink, drawing.boxes.trim);
  const { width, height } = frame.rect;
  const leaves = leavesOf(frame.items);
  const sizes = leaves.flatMap((leaf) => (leaf.kind === 'glyphs' && leaf.glyphs.length > 0 ? [mmToPt(leaf.size)] : []));
  const lines = leaves.flatMap((leaf) => (leaf.kind === 'path' && leaf.stroke ? [mmToPt(leaf.stroke.width)] : []));
  const inks = leaves.flatMap((leaf) => {
    const own = leaf.kind === 'path' ? [leaf.fill, leaf.stroke?.ink] : leaf.kind === 'glyphs' ? [leaf.ink] : [];
    return own.flatMap((ink) =>
      ink?.kind === 'process'
        ? [`${writeBuild(ink.build)}${ink.from ? ', from RGB' : ''}${ink.overprint ? ', overprints' : ''}`]
        : [],
    );
  });
  const picture = leaves.find((leaf) => leaf.kind === 'picture');
  const asset = picture?.kind === 'picture' ? pictureAsset(job.assets, picture.picture) : undefined;
  const pt = (size: number) => `${formatNumber(size, 2)} pt`;
  return [
    ['Size', formatSize({ width: width * blank.scale, height: height * blank.scale }, job.unit)],
    ...EDGE_NAMES.map((edge): Fact => [`From the ${edge} trim`, write(toTrim[edge])]),
    ...(sizes.length > 0 ? [['Smallest type', pt(Math.min(...sizes))] as const] : []),
    ...(lines.length > 0 ? [['Thinnest line', pt(Math.min(...lines))] as const] : []),
    ...[...new Set(inks)].slice(0, 4).map((ink, i): Fact => [i === 0 ? 'Inks' : '', ink]),
    ...(picture?.kind === 'picture' && asset
      ? [['Resolution', `${Math.floor(effectivePpi(picture.image, asset) / blank.scale)} ppi`] as const]
      : []),
  ];
}
