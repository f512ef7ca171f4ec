import type { Hand } from './hand';
import { INK, PALE } from './inks';

/** The bookmark: four moons on its front, each under matt varnish; where to find us on its back. */
export async function bookmark(hand: Hand): Promise<void> {
  await hand.begin('Bookmark', { Name: 'Bookmark of four moons', 'Finished size': '50 x 180 mm', Paper: 'Heather offset 300' }); // prettier-ignore
  await hand.shape('Empty picture frame', 'picture', { box: 'trim', 'x-left': 0, 'x-width': '100 %', 'y-top': 0, 'y-height': '100 %' }); // prettier-ignore
  await hand.bring('four-moons.jpg');
  await hand.name('Moons');
  await hand.text('Name', 'Quillrook Dark-Sky Society', { 'x-left': 0, 'x-width': '100 %', 'y-height': 6, 'y-bottom': 2, 'set in': 'Familjen Grotesk 8.5/11 centred', ink: PALE }); // prettier-ignore

  await hand.key('b');
  await hand.shape('x', 'Pale', { box: 'trim', 'Fill/paint': PALE });
  await hand.key('w');
  await hand.text('Heading', 'Four moons\na month', { 'x-left': 0, 'x-width': '100 %', 'y-height': 34, 'y-top': 8, 'set in': 'League Gothic 30/30 caps', ink: INK }); // prettier-ignore
  await hand.text('Where', 'The Old Toll House, Hollin Ford.\nOpen on every clear Friday,\nfrom dusk until the soup is gone.', { 'x-left': 0, 'x-width': '100 %', 'y-height': 24, 'y-bottom': 4, 'set in': 'Familjen Grotesk 8.5/13', ink: INK }); // prettier-ignore

  await hand.key('f');
  await hand.key('Alt+4');
  await hand.key('Tab');
  await hand.press('the shapes in this picture');
}
