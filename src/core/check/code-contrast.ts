import { leavesOf, type Frame, type Ink } from '../drawing';
import { formatNumber } from '../measure';
import { noted, replace, type Report, type Rule } from './rule';
import { BLACK } from '../job';

/** Cyan and black together make bars dark to a red light, percent; a ground has to have less [cp]. */
const [DARK, LIGHT] = [75, 20];

/** How dark an ink is to a reader, which sees by red light: yellow and magenta are white to it. */
function darkness(ink: Ink | null): number | undefined {
  if (ink?.kind !== 'process') return undefined;
  const spots = (ink.spots ?? []).map(({ shown, tint }) => ((shown.c + shown.k) * tint) / 100);
  return Math.min(100, ink.build.c + ink.build.k + spots.reduce((sum, n) => sum + n, 0));
}

/** The inks of a code: of its ground, where it has one, and of its bars. */
function inksOfCode({ items }: Frame, hasGround: boolean) {
  const paths = leavesOf(items).flatMap((item) => (item.kind === 'path' ? [item.fill] : []));
  return hasGround ? { ground: paths[0] ?? null, bars: paths[1] ?? null } : { ground: null, bars: paths[0] ?? null };
}

/** Dark bars on a light ground, as red light sees them. */
export const codeContrastRule: Rule = {
  id: 'code-contrast',
  title: 'A code that a reader does not see',
  why:
    'Readers light a code with red: red, orange, yellow and magenta are white to them, blue, green and black are ' +
    'dark.',
  check: (subject) =>
    noted(subject, 'code').flatMap(({ element, frame }): readonly Report[] => {
      if (element.kind !== 'code') return [];
      const { ground, bars } = inksOfCode(frame, element.ground !== null);
      const [dark, light] = [darkness(bars), ground ? darkness(ground) : 0];
      if ((dark ?? 100) >= DARK && (light ?? 0) <= LIGHT) return [];
      const percent = (n: number | undefined) => `${formatNumber(n ?? 0, 0)} %`;
      return [
        {
          severity: 'fault',
          element: element.id,
          where: frame.bounds,
          message:
            `Its bars have ${percent(dark)} of cyan and black, its ground ${percent(light)}: from ${DARK} % on they ` +
            `are dark, up to ${LIGHT} % it is light (common practice).`,
          fixes: [replace('Print it black on paper', { ...element, paint: BLACK, ground: { kind: 'paper' } })],
        },
      ];
    }),
};
