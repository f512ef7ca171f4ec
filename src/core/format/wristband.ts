import { Impossible, length } from '../parameter';
import { defineFormat, type Plan } from './format';
import { frontAndBack, sides, zone } from './sides';

/** A band that is closed around a wrist by its own glue. Usual sizes are common practice. */
export const wristband = defineFormat({
  kind: 'wristband',
  title: 'Wristband',
  about: 'A strip for guests, closed around the wrist by its own glue, with a tear-off stub if wanted.',
  group: 'label',
  parameters: {
    length: length('Length', ['250 mm', '10 in'], 'Of the whole strip, glue and stub included.', {
      least: 150,
      most: 400,
    }),
    height: length('Height', ['25 mm', '1 in'], 'Of the strip.', { least: 10, most: 60 }),
    glue: length('Glue', ['30 mm', '1.25 in'], 'At the right end, beneath its liner.', { least: 10, most: 100 }),
    stub: length('Stub', '0 mm', 'At the left end, torn off at the gate; 0 for none.', { most: 120 }),
    sides: sides('1'),
  },
  plan: (d): Plan => {
    const finished = { width: d.length, height: d.height };
    const round = d.length - d.stub;
    if (round - d.glue < ROUND_A_WRIST)
      throw new Impossible('length', `Beside its glue a band needs ${ROUND_A_WRIST} mm to go around a wrist.`);
    const end = { x: d.length - d.glue, y: 0, width: d.glue, height: d.height };
    const start = { x: d.stub, y: 0, width: d.glue, height: d.height };
    return {
      finished,
      surfaces: frontAndBack(finished, d.sides, {
        processLines:
          d.stub > 0 ? [{ process: 'perforation', from: { x: d.stub, y: 0 }, to: { x: d.stub, y: d.height } }] : [],
        zones: [
          zone('no-ink', 'glue', end, 'Glue does not hold on ink, and its liner is cut here.'),
          zone('hidden', 'under the glue', start, 'The glued end comes to lie on it: what is printed here is hidden.'),
        ],
      }),
    };
  },
});

/** A child’s wrist, mm [cp]. */
const ROUND_A_WRIST = 110;
