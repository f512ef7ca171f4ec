import { perPage, type IntakeRule } from '../rule';

/** Colours of a screen. */
export const rgbRule: IntakeRule = {
  id: 'rgb',
  title: 'RGB',
  wish: (house) =>
    house.rgb === 'refuse' ? 'Colours in the press’s own inks.' : 'RGB that says which: with a profile.',
  look: ({ file, house }) =>
    perPage(
      file.painted.filter(({ colour }) => colour.space === 'rgb' && (house.rgb === 'refuse' || !colour.isTagged)),
      ({ kind, colour }) => ({
        weight: house.rgb === 'refuse' || !colour.isTagged ? 'fault' : 'warning',
        found: `${WORDS[kind]} in RGB${colour.isTagged ? '' : ' without a profile'}.`,
      }),
    ),
};

const WORDS = {
  fill: 'An area',
  shading: 'A gradient',
  stroke: 'A line',
  text: 'Words',
  picture: 'A picture',
} as const;
