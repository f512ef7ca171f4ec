import { paintKey, repaint, styleBook, type Job, type Kit, type SolidPaint } from '../job';
import { framed, replace, type Fix, type Report, type Rule } from './rule';
import { kitDifferences, withFamily, type KitDifference } from '../edit';

/** What differs, worked out once for all sides of a job. */
const known = new WeakMap<Job, readonly KitDifference[]>();

function differencesOf(job: Job): readonly KitDifference[] {
  const found = known.get(job) ?? kitDifferences(job);
  known.set(job, found);
  return found;
}

/** Differences named in one line; then how many more there are. */
const SHOWN = 6;

/** The piece keeps to what its client’s pieces have in common. */
export const kitRule: Rule = {
  id: 'kit',
  title: 'Differs from its kit',
  why:
    'A client knows its colours, type and measures; a piece that departs from them by accident looks like ' +
    'another’s.',
  check: (subject) => {
    const { job, side, blank, drawing } = subject;
    const { kit } = job;
    if (!kit) return [];
    const differences = differencesOf(job);
    const frames = new Map(framed(subject).map((f) => [f.element.id, f]));
    const isFirst = side === blank.surfaces[0]?.name;
    const named = isFirst ? differences.flatMap((d) => (d.what === 'colour' || d.what === 'family' ? [] : [d])) : [];
    const laid = differences.flatMap((d): Report[] => {
      if (d.what !== 'colour' && d.what !== 'family') return [];
      const found = frames.get(d.element.id);
      if (!found) return [];
      const about = { severity: 'note', element: d.element.id, where: found.frame.rect } as const;
      return [
        { ...about, message: `The kit of ${kit.name} does not have ${wordsOf(d)}.`, fixes: fixesFor(d, kit, job) },
      ];
    });
    if (named.length === 0) return laid;
    const more = named.length > SHOWN ? ` and ${named.length - SHOWN} more` : '';
    const list = named.slice(0, SHOWN).map((d) => `${d.what} “${d.name}”${d.how === 'missing' ? ' (missing)' : ''}`);
    const message = `Not as the kit of ${kit.name} has it: ${list.join(', ')}${more}.`;
    const take: Fix = { label: 'Take the kit’s', change: { kind: 'kit' } };
    return [{ severity: 'warning', element: null, where: drawing.boxes.trim, message, fixes: [take] }, ...laid];
  },
};

type Laid = Extract<KitDifference, { what: 'colour' | 'family' }>;

const wordsOf = (d: Laid): string => (d.what === 'colour' ? paintKey(d.paint) : d.family);

function fixesFor(d: Laid, kit: Kit, job: Job): readonly Fix[] {
  const book = styleBook(job);
  if (d.what === 'family') {
    const [family] = kit.families;
    return family === undefined ? [] : [replace(`Set in ${family}`, withFamily(d.element, book, d.family, family))];
  }
  const to = nearest(d.paint, kit);
  if (!to) return [];
  const isMeant = (paint: SolidPaint) => paintKey(paint) === paintKey(d.paint);
  return [
    replace(
      `Take ${to.name}`,
      repaint(d.element, book, (paint) => (isMeant(paint) ? to.paint : paint)),
    ),
  ];
}

/** The kit’s build that is nearest by its inks; only builds can be compared without a profile. */
function nearest(paint: SolidPaint, kit: Kit): Kit['colours'][number] | undefined {
  if (paint.kind !== 'process') return undefined;
  const far = ({ paint: other }: Kit['colours'][number]) =>
    other.kind === 'process'
      ? Math.hypot(other.c - paint.c, other.m - paint.m, other.y - paint.y, other.k - paint.k)
      : Infinity;
  const sorted = kit.colours.filter((c) => Number.isFinite(far(c))).sort((a, b) => far(a) - far(b));
  return sorted[0];
}
