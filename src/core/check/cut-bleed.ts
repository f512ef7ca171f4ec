import { leavesOf, type Frame } from '../drawing';
import { around, flatten, inverse, apply, isInside, type Path, type Point } from '../layout';
import { pathOf } from '../marks';
import { finishingNamed, writeIn, type Report, type Rule, type Subject } from './rule';

/** Just inside a cut, mm. */
const INSIDE = 0.3;
/** Points that are looked at along a cut. */
const SAMPLES = 96;
/** A share of them that may lie where artwork ends by intention. */
const FEW = 0.04;

/** A drawn cut needs ink on both its sides, as the trim does. */
export const cutBleedRule: Rule = {
  id: 'cut-bleed',
  title: 'A cut without bleed',
  why: 'The knife wanders. Where ink ends on the cut, a white rim of paper shows beside it.',
  check: (subject) => {
    const bleed = Math.max(...Object.values(subject.rules.bleed.value));
    if (bleed === 0) return [];
    const areas = inkAreas(subject.drawing.frames);
    return subject.drawing.lines
      .filter((line) => (line.process === 'cut' || line.process === 'kiss-cut') && finishingNamed(subject, line.id))
      .flatMap((line): Report[] => {
        const points = alongPath(pathOf(line));
        const bare = points.filter(({ at, normal }) => {
          const side = (by: number): Point => ({ x: at.x + normal.x * by, y: at.y + normal.y * by });
          const [left, right] = [INSIDE, -INSIDE].map((by) => isInked(areas, side(by)));
          // Both sides bare, or both inked: nothing ends here.
          return left !== right || (left && isInked(areas, side(bleed * 0.9)) !== isInked(areas, side(-bleed * 0.9)));
        });
        return bare.length <= points.length * FEW
          ? []
          : [
              short(
                subject,
                line.id,
                bare.map((p) => p.at),
                bleed,
              ),
            ];
      });
  },
};

function short(subject: Subject, id: string, points: readonly Point[], bleed: number): Report {
  return {
    severity: 'fault',
    element: null,
    where: around(points),
    message:
      `Ink ends on the cut${id ? '' : ' line'}; it has to run ${writeIn(subject.job, bleed)} past it, or the ` +
      `cut has to lie ${writeIn(subject.job, bleed)} inside the ink.`,
  };
}

type Area = { readonly path: Path; readonly toOwn: ReturnType<typeof inverse> };

const inkAreas = (frames: readonly Frame[]): readonly Area[] =>
  frames.flatMap((frame) =>
    leavesOf(frame.items).flatMap((leaf): Area[] => {
      const toOwn = inverse(leaf.matrix);
      if (leaf.kind === 'path' && leaf.fill) return [{ path: leaf.path, toOwn }];
      return [];
    }),
  );

const isInked = (areas: readonly Area[], p: Point): boolean =>
  areas.some(({ path, toOwn }) => isInside(apply(toOwn, p), path));

/** Places along a path with the direction across it. */
function alongPath(path: Path): readonly { readonly at: Point; readonly normal: Point }[] {
  const parts = flatten(path);
  const steps = parts.flatMap((points) =>
    points.slice(1).flatMap((b, i) => {
      const a = points[i];
      const length = a ? Math.hypot(b.x - a.x, b.y - a.y) : 0;
      return a && length > 1e-6 ? [{ a, b, length }] : [];
    }),
  );
  const total = steps.reduce((sum, s) => sum + s.length, 0);
  const found: { at: Point; normal: Point }[] = [];
  let next = total / SAMPLES / 2;
  let gone = 0;
  for (const { a, b, length } of steps) {
    for (; next <= gone + length; next += total / SAMPLES) {
      const t = (next - gone) / length;
      found.push({
        at: { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t },
        normal: { x: (b.y - a.y) / length, y: -(b.x - a.x) / length },
      });
    }
    gone += length;
  }
  return found;
}
