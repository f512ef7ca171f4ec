import { defineFormat } from './format';
import { drilledParameter, filingHoles, holesParameter } from './filing-holes';
import { Impossible, choice, size } from '../parameter';
import { frontAndBack, level, sides, zone } from './sides';

/** Where the window of a DL or C6/C5 envelope shows the address on an A4 letter, mm (from memory). */
const WINDOWS = {
  left: { x: 20, y: 45, width: 90, height: 45 },
  right: { x: 105, y: 45, width: 90, height: 45 },
} as const;

export const letterhead = defineFormat({
  kind: 'letterhead',
  title: 'Letterhead',
  about: 'A sheet to write letters on: filing margin, window of the envelope, fold ticks.',
  group: 'flat',
  usual: { safe: 8, why: 'office printers leave a rim; 8 mm inside the trim' },
  parameters: {
    size: size('Finished size', ['A4', 'letter'], 'Width x height, or a paper name.'),
    sides: sides('1'),
    holes: holesParameter,
    'holes-made': drilledParameter,
    window: choice('Window envelope', 'none', 'Keeps clear what shows through the window.', {
      none: 'none',
      left: 'window at the left',
      right: 'window at the right',
    }),
    folds: choice('Fold ticks', 'no', 'Where the letter is folded in three by hand.', { no: 'none', yes: 'in thirds' }),
  },
  plan: (d) => {
    const { width, height } = d.size;
    const shown = d.window === 'none' ? undefined : WINDOWS[d.window];
    if (shown && (shown.x + shown.width > width || shown.y + shown.height > height))
      throw new Impossible(
        'window',
        'The window of the envelope lies beyond this sheet: take A4 or letter, or no window.',
      );
    const filing = filingHoles(d.holes, d['holes-made'], height);
    const window =
      d.window === 'none'
        ? []
        : [zone('keep-clear', 'window', WINDOWS[d.window], 'The address shows through the envelope’s window here.')];
    const ticks =
      d.folds === 'no' ? [] : [height / 3, (2 * height) / 3].map((y) => level('fold', y, Math.min(5, width / 10)));
    const [front, back] = frontAndBack(d.size, d.sides, {
      zones: [...filing.zones, ...window],
      processLines: [...filing.processLines, ...ticks],
    });
    if (!front) throw new RangeError('A letterhead has a front.');
    // The window looks at the front only.
    const behind = back && { ...back, zones: back.zones?.filter((z) => z.name !== 'window') ?? [] };
    return { finished: d.size, surfaces: behind ? [front, behind] : [front] };
  },
});
