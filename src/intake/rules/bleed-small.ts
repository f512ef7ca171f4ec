import { inMm, trimOf, wantedBleed, type IntakeRule } from '../rule';

/** Numbers in files are rounded, pt. */
const ROUNDED = 0.05;

/** Whether there is room for the bleed at all. */
export const bleedSmallRule: IntakeRule = {
  id: 'bleed-small',
  title: 'Too little bleed',
  wish: (house) => `${inMm(wantedBleed(house))} beyond the trim on every side.`,
  look: ({ file, house }) =>
    file.pages.flatMap((page, i) => {
      const trim = trimOf(page);
      const outer = page.bleed ?? page.media;
      const room = Math.min(
        trim.x - outer.x,
        trim.y - outer.y,
        outer.x + outer.width - trim.x - trim.width,
        outer.y + outer.height - trim.y - trim.height,
      );
      return room >= wantedBleed(house) - ROUNDED
        ? []
        : [{ weight: 'fault' as const, page: i + 1, box: trim, found: `It has ${inMm(Math.max(0, room))} of bleed.` }];
    }),
};
