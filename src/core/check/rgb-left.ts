import { writeBuild } from '../colour';
import { pictureAsset, repaint } from '../job';
import { framed, replace, type Report, type Rule } from './rule';
import { asPaint, inksOf } from './paints';

/** Some houses want every colour decided before they see the file. */
export const rgbLeftRule: Rule = {
  id: 'rgb-left',
  title: 'RGB left',
  why: 'A colour left to the conversion may lose strength. This printer wants builds, so that nobody is surprised.',
  check: (subject) => {
    if (subject.job.house.rgb !== 'refuse') return [];
    return framed(subject).flatMap(({ element, frame }): Report[] => {
      const left = inksOf(frame).find((ink) => ink.from);
      if (left) {
        const build = {
          c: Math.round(left.build.c),
          m: Math.round(left.build.m),
          y: Math.round(left.build.y),
          k: Math.round(left.build.k),
        };
        const mended = repaint(element, subject.book, (paint) => (paint.kind === 'rgb' ? asPaint(build) : paint));
        return [
          {
            severity: 'fault',
            element: element.id,
            where: frame.bounds,
            message: `Its colour is still RGB; on this paper it becomes ${writeBuild(build)}.`,
            fixes: [replace(`Make it ${writeBuild(build)}`, mended)],
          },
        ];
      }
      const asset = element.kind === 'picture' ? pictureAsset(subject.job.assets, element.picture) : undefined;
      if (asset?.colour !== 'rgb') return [];
      const message =
        'The picture is RGB. The press file carries it converted; the printer may want to see the conversion.';
      return [{ severity: 'note', element: element.id, where: frame.bounds, message }];
    });
  },
};
