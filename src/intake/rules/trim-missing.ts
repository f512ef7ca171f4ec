import { trimOf, type IntakeRule } from '../rule';

/** Whether the file says where it is cut. */
export const trimMissingRule: IntakeRule = {
  id: 'trim-missing',
  title: 'No trim box',
  wish: () => 'A TrimBox on every page, so that nobody has to guess where it is cut.',
  look: ({ file }) =>
    file.pages.flatMap((page, i) =>
      page.trim
        ? []
        : [
            {
              weight: 'warning' as const,
              page: i + 1,
              box: trimOf(page),
              found: 'The page does not say where it is cut.',
            },
          ],
    ),
};
