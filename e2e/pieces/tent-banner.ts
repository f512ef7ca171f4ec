import { HEAVENS } from '../../src/demo/draw-heavens';
import type { Hand } from './hand';
import { INK, PALE, YELLOW } from './inks';

/** The banner of the society’s tent, 5 × 3 ft drawn at a tenth: seven pictures of the heavens in a row. */
export async function tentBanner(hand: Hand): Promise<void> {
  await hand.begin('Banner', {
    Name: 'Tent banner',
    'Finished size': '5 x 3 ft',
    Paper: 'Banner PVC 510',
    Printer: 'Flatbed Nine',
  });
  await hand.shape('x', 'Night', { box: 'trim' });
  await hand.key('w');
  await hand.gradient(
    'Fill/paint',
    [
      [0, INK],
      [100, '70 66 10 4'],
    ],
    { angle: 90 },
  );
  await hand.place('emblem.svg', 'Emblem', {
    'x-width': '25mm',
    'x-left': '0.5mm',
    'y-height': '25mm',
    'y-top': '1mm',
  });
  await hand.within('Colours', () => hand.set({ 'colour 1': PALE, 'colour 2': YELLOW }));
  await hand.text('Title', 'Look up with us', {
    box: 'past Emblem',
    'x-width': '108mm',
    'x-left': '5mm',
    ink: PALE,
    'set in': 'League Gothic 64/64 caps',
    down: 'Emblem',
    'y-height': '34mm',
    'y-off centre': '0mm',
    'Frame › stands': 'middle',
  });

  await hand.shape('x', 'Mount', {
    'x-width': '',
    'x-left': '0mm',
    'x-right': '0mm',
    'y-height': '36mm',
    'y-top': '30mm',
    'Fill/paint': PALE,
  });
  await hand.within('Effects', async () => {
    await hand.press('Drop shadow');
    await hand.set({ across: '0mm', down: '0.8mm', blur: '2mm', opacity: 55 });
  });
  // Seven windows in the mount, and seven pictures into them at once.
  await hand.unfold('Grids');
  await hand.grid('heavens', { columns: 7, gutter: '1.2mm', margin: '1.2mm' });
  await hand.press('Frame in each cell');
  await hand.bring(...HEAVENS.map((name) => `${name.replaceAll(' ', '-')}.jpg`));

  await hand.text('Invitation', 'Telescopes, soup and quiet. Every clear Friday from dusk.', {
    'y-bottom': '0mm',
    'y-height': '9mm',
    ink: YELLOW,
    'Frame › stands': 'middle',
    'set in': 'Familjen Grotesk 700 13.5/17 centred',
  });
}
