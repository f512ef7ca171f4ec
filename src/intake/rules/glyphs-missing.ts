import { counted } from '../../core/measure';
import { perPage, paintedOf, type IntakeRule } from '../rule';

/** Characters that the font of a file has no glyph for: they print as an empty box, or not at all. */
export const glyphsMissingRule: IntakeRule = {
  id: 'glyphs-missing',
  title: 'Characters without a glyph',
  wish: () => 'Words in a font that has all their characters.',
  look: ({ file }) =>
    perPage(
      paintedOf(file, 'text').filter(({ missing }) => missing > 0),
      ({ font, missing }) => ({
        weight: 'fault',
        found: `${counted(missing, 'character')} of ${font || 'a font'} ${missing === 1 ? 'has' : 'have'} no glyph.`,
      }),
    ),
};
