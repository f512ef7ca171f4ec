import type { IntakeRule } from '../rule';

/** Fonts come with the file (ISO 15930-7, 6.2.3, from memory). */
export const fontsMissingRule: IntakeRule = {
  id: 'fonts-missing',
  title: 'A font that is not in the file',
  wish: () => 'Every font embedded: what is set in its place has other widths.',
  look: ({ file }) =>
    file.fonts
      .filter((font) => !font.isEmbedded)
      .map(({ name, pages }) => ({
        weight: 'fault' as const,
        ...(pages[0] !== undefined && { page: pages[0] }),
        found: `${name} is not embedded.`,
      })),
};
