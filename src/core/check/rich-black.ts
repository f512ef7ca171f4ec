import { isBlackOnly, type Build } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { mapLooks, repaint } from '../job';
import { mapPath, pathArea } from '../layout';
import { formatNumber, mmToPt } from '../measure';
import { asPaint } from './paints';
import { framed, replace, type Report, type Rule } from './rule';

/** A black area larger than this looks grey in black alone, mm² [cp]. */
const LARGE = 2500;
/** Type smaller than this should be in black alone, pt [cp]. */
const SMALL = 14;
/** The usual recipe [cp]. */
const RICH: Build = { c: 60, m: 40, y: 40, k: 100 };

const isRich = (ink: Ink): boolean =>
  ink.kind === 'process' && ink.build.k >= 90 && ink.build.c + ink.build.m + ink.build.y > 20;

/** Large black areas want other inks beneath; small black type wants none. */
export const richBlackRule: Rule = {
  id: 'rich-black',
  title: 'Black for what it is used',
  why:
    'A large area in black alone looks grey and shows pinholes; small type in four blacks blurs as soon as a ' +
    'plate shifts.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): Report[] => {
      const leaves = leavesOf(frame.items);
      const large = leaves.some(
        (leaf) =>
          leaf.kind === 'path' &&
          leaf.fill?.kind === 'process' &&
          isBlackOnly(leaf.fill.build) &&
          !leaf.fill.spots &&
          pathArea(mapPath(leaf.path, leaf.matrix)) > LARGE,
      );
      const limit = subject.rules.inkLimit.value;
      const rich = withinRecipe(limit);
      const recipe = [rich.c, rich.m, rich.y, rich.k].map((v) => formatNumber(v, 0)).join(' ');
      const reports: Report[] = [];
      if (large && element.kind === 'shape') {
        const mended = repaint(element, subject.book, (paint) =>
          paint.kind === 'process' && isBlackOnly(paint) ? asPaint(rich) : paint,
        );
        reports.push({
          severity: 'note',
          element: element.id,
          where: frame.bounds,
          message: 'A large area in black alone prints as a dark grey.',
          fixes: [replace(`Make it ${recipe}`, mended)],
        });
      }
      const small = leaves.find((leaf) => leaf.kind === 'glyphs' && isRich(leaf.ink) && mmToPt(leaf.size) < SMALL);
      if (small?.kind === 'glyphs' && element.kind === 'text') {
        const mended = mapLooks(element, subject.book, ({ paint, sizePt }) =>
          sizePt < SMALL && paint.kind === 'process' && paint.k >= 90 && paint.c + paint.m + paint.y > 20
            ? { paint: asPaint({ c: 0, m: 0, y: 0, k: 100 }) }
            : {},
        );
        reports.push({
          severity: 'warning',
          element: element.id,
          where: frame.bounds,
          message: `${formatNumber(mmToPt(small.size), 1)} pt type in a black of several inks.`,
          fixes: [replace('Set it in black alone', mended)],
        });
      }
      return reports;
    }),
};

/** The recipe, with no more ink than the paper takes. */
function withinRecipe(limit: number): Build {
  const share = Math.min(1, Math.max(0, limit - RICH.k) / (RICH.c + RICH.m + RICH.y));
  return { c: Math.floor(RICH.c * share), m: Math.floor(RICH.m * share), y: Math.floor(RICH.y * share), k: RICH.k };
}
