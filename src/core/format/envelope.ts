import { polygonPath } from '../layout';
import { envelopeNamed } from '../paper';
import { readEnvelope } from './envelope-figures';
import { defineFormat } from './format';
import { choice, length, text } from '../parameter';
import { zone } from './sides';

export const envelope = defineFormat({
  kind: 'envelope',
  title: 'Envelope',
  about: 'A made envelope, printed on its front and its back with the flap.',
  group: 'flat',
  usual: { bleed: 0, why: 'a made envelope is printed without bleed' },
  parameters: {
    envelope: text('Envelope', 'C5', 'By name: C6, DL, C5, C4, A7, No. 10.', readEnvelope),
    window: choice('Window', 'none', 'At the left, 20 mm in and 15 mm up (from memory).', {
      none: 'none',
      left: 'at the left',
    }),
    flap: length('Flap', ['45 mm', '1.75 in'], 'Depth of the flap; printed with the back.', { least: 10, most: 400 }),
    rim: length('Unprintable edge', ['5 mm', '3/16 in'], 'What the envelope printer cannot reach.'),
  },
  plan: (d, { write }) => {
    const body = envelopeNamed(d.envelope) ?? { name: 'C5', width: 229, height: 162 };
    const { width, height } = body;
    const rims = (h: number, y = 0) => [
      { x: 0, y, width, height: d.rim },
      { x: 0, y: y + h - d.rim, width, height: d.rim },
      { x: 0, y: y + d.rim, width: d.rim, height: h - 2 * d.rim },
      { x: width - d.rim, y: y + d.rim, width: d.rim, height: h - 2 * d.rim },
    ];
    const why = 'The printer’s grippers and seams leave this edge bare.';
    const edge = (h: number, y = 0) =>
      d.rim > 0 ? rims(h, y).map((r) => zone('no-ink', 'unprintable edge', r, why)) : [];
    // Window of a DL or larger envelope, 90 × 45 mm (from memory).
    const window = { x: 20, y: height - 15 - 45, width: 90, height: 45 };
    const flap = Math.min(d.flap, height * 0.9);
    const outline = polygonPath([
      { x: 0, y: flap },
      { x: width * 0.08, y: 0 },
      { x: width * 0.92, y: 0 },
      { x: width, y: flap },
      { x: width, y: flap + height },
      { x: 0, y: flap + height },
    ]);
    return {
      finished: { width, height },
      byItself: 'Envelopes are printed when they are made up, each by itself.',
      surfaces: [
        {
          name: 'front',
          size: { width, height },
          zones: [
            ...edge(height),
            ...(d.window === 'left' ? [zone('no-ink', 'window', window, 'There is film here, not paper.')] : []),
          ],
        },
        {
          name: 'back',
          size: { width, height: flap + height },
          outline,
          panels: [
            { name: 'flap', x: 0, y: 0, width, height: flap, turned: true as const },
            { name: 'back', x: 0, y: flap, width, height },
          ],
          processLines: [{ process: 'fold', from: { x: 0, y: flap }, to: { x: width, y: flap }, direction: 'up' }],
          zones: edge(height, flap),
        },
      ],
      figures: [
        {
          id: 'takes',
          group: 'size',
          name: 'Takes up to',
          value: [width - 3.175, height - 3.175],
          unit: 'mm',
          working: [`${write(width)} − 1/8 in × ${write(height)} − 1/8 in, for a flat piece`],
          rule: 'Clearance of 1/8 in in total each way (common practice)',
        },
      ],
    };
  },
});
