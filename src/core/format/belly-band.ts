import { defineFormat } from './format';
import { creaseParameter } from './folded-sheet';
import { Impossible, choice, length, size } from '../parameter';
import { zone } from './sides';
import { wrapPlan } from './wrap-plan';
import type { ProcessLine } from './blank';

export const bellyBand = defineFormat({
  kind: 'belly-band',
  title: 'Belly band',
  about: 'A strip around a book, a box or a bundle, glued or locked by slits.',
  group: 'wrap',
  parameters: {
    around: size('Goes around', ['148 x 20 mm', '5.5 x 0.75 in'], 'Width and thickness of what it holds.'),
    height: length('Height', ['60 mm', '2.5 in'], 'Of the band.', { least: 10 }),
    overlap: length('Overlap', ['15 mm', '5/8 in'], 'Where the ends lie on each other.', { least: 5, most: 100 }),
    lock: choice('Closed by', 'glue', 'Glue, or two slits that hook into each other.', {
      glue: 'glue',
      slits: 'slits',
    }),
    play: length('Play', '1 mm', 'So that it slides on.', { most: 10 }),
    crease: creaseParameter,
  },
  plan: (d, context) => {
    const { width, height: thick } = d.around;
    if (d.lock === 'slits' && d.overlap < 10)
      throw new Impossible('overlap', 'Slits need an overlap of at least 10 mm.');
    const front = width + d.play;
    const side = thick + d.play / 2;
    const band = 2 * front + 2 * side + d.overlap;
    const end = front / 2 + d.overlap / 2;
    // Half a slit from the head at one end, half from the foot at the other.
    const slits: ProcessLine[] =
      d.lock === 'slits'
        ? [
            { process: 'cut', from: { x: d.overlap / 2, y: 0 }, to: { x: d.overlap / 2, y: d.height / 2 } },
            {
              process: 'cut',
              from: { x: band - d.overlap / 2, y: d.height / 2 },
              to: { x: band - d.overlap / 2, y: d.height },
            },
          ]
        : [];
    const tab = { x: band - d.overlap, y: 0, width: d.overlap, height: d.height };
    return wrapPlan(
      d.lock === 'glue'
        ? [
            { name: 'front', width: front },
            { name: 'right side', width: side },
            { name: 'back', width: front },
            { name: 'left side', width: side },
            { name: 'glue flap', width: d.overlap },
          ]
        : [
            { name: 'back left', width: end },
            { name: 'left side', width: side },
            { name: 'front', width: front },
            { name: 'right side', width: side },
            { name: 'back right', width: end },
          ],
      d.height,
      { width: front, height: d.height },
      d.crease,
      context,
      {
        inside: false,
        fixed: d.lock === 'glue' ? 0 : 2,
        extra: {
          processLines: slits,
          zones: d.lock === 'glue' ? [zone('no-ink', 'glue flap', tab, 'Glue does not hold on ink.')] : [],
        },
      },
    );
  },
});
