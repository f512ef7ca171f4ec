import { effectivePpi } from '../compose';
import { leavesOf } from '../drawing';
import { pictureAsset } from '../job';
import { MM_PER_INCH, pixels } from '../measure';
import { framed, replace, writeIn, type Report, type Rule } from './rule';

/** Below this share of the needed resolution a picture looks soft to anybody [cp]. */
const SOFT = 2 / 3;

/** A picture needs pixels enough for its size and its reading distance. */
export const pictureResolutionRule: Rule = {
  id: 'picture-resolution',
  title: 'Picture too coarse',
  why: 'Below the needed resolution the eye sees pixels or blur at the reading distance.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): Report[] => {
      const item = leavesOf(frame.items).find((i) => i.kind === 'picture');
      const asset = element.kind === 'picture' ? pictureAsset(subject.job.assets, element.picture) : undefined;
      if (item?.kind !== 'picture' || !asset || element.kind !== 'picture') return [];
      const need = subject.rules.ppi.value;
      // A piece drawn smaller than life is enlarged on the press, pixels and all.
      const has = effectivePpi(item.image, asset) / subject.blank.scale;
      const most = subject.rules.maxPpi;
      if (most !== undefined && has > most + 0.5) {
        const message =
          `${Math.floor(has)} ppi where ${most} are of use to ${subject.rules.house ?? 'the house'}; it is ` +
          'brought down at export.';
        return [{ severity: 'note', element: element.id, where: frame.rect, message }];
      }
      if (has >= need - 0.5) return [];
      const largest = ((asset.width / need) * MM_PER_INCH) / subject.blank.scale;
      const wanted =
        `${pixels(item.image.width * subject.blank.scale, need)} × ` +
        `${pixels(item.image.height * subject.blank.scale, need)} px`;
      const percent = element.fit.mode === 'scale' ? (element.fit.percent * has) / need : 0;
      return [
        {
          severity: has < (subject.rules.minPpi ?? need * SOFT) ? 'fault' : 'warning',
          element: element.id,
          where: frame.rect,
          message:
            `${Math.floor(has)} ppi where ${Math.round(need)} are needed. It wants ${wanted}, or a width of at ` +
            `most ${writeIn(subject.job, largest)}.`,
          fixes:
            percent >= 1
              ? [replace('Scale it down', { ...element, fit: { mode: 'scale', percent: Math.floor(percent) } })]
              : [],
        },
      ];
    }),
};
