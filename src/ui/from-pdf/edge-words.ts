import type { Beyond } from '@/core/element';
import { counted, formatNumber } from '@/core/measure';
import type { NearEdge } from '@/intake';

export const BEYOND_WORDS: Readonly<Record<Beyond, string>> = {
  own: 'what the file has there',
  mirrored: 'its edge, mirrored outwards',
  stretched: 'the page, drawn larger',
  nothing: 'nothing',
};

const KINDS: Readonly<Record<NearEdge['kind'], readonly [one: string, many: string]>> = {
  words: ['line of words', 'lines of words'],
  line: ['line', 'lines'],
  area: ['area', 'areas'],
  picture: ['picture', 'pictures'],
};

/** A page, and how far it bleeds, mm. */
export interface Stretch {
  readonly width: number;
  readonly height: number;
  readonly bleed: number;
}

const mm = (value: number): string => `${formatNumber(value, 1)} mm`;

/** How far inside the trim something is when its page is drawn out to the bleed; negative beyond it. */
export function insideStretched({ edge, inside }: NearEdge, { width, height, bleed }: Stretch): number {
  const across = edge === 'left' || edge === 'right' ? width : height;
  return inside * ((across + 2 * bleed) / across) - bleed;
}

/** What becomes of things near the edges where the bleed is made: of what is alike, once. */
export function edgeWords(near: readonly NearEdge[], beyond: Beyond, page: Stretch): readonly string[] {
  const said = new Map<string, NearEdge[]>();
  for (const one of near) {
    const what = becomes(one, beyond, page);
    const key = what && `${counted(one.count, ...KINDS[one.kind])} ${mm(one.inside)} inside|${what}`;
    if (key) said.set(key, [...(said.get(key) ?? []), one]);
  }
  return [...said].map(([key, list]) => {
    const [what = '', then = ''] = key.split('|');
    return `${what} ${edgesOf(list)}: ${then}`;
  });
}

const edgesOf = (list: readonly NearEdge[]): string =>
  list.length === 4 ? 'each edge' : `the ${list.map(({ edge }) => edge).join(' and ')} edge`;

function becomes(near: NearEdge, beyond: Beyond, page: Stretch): string | undefined {
  switch (beyond) {
    case 'own':
    case 'nothing':
      return undefined;
    case 'mirrored':
      return `seen a second time, ${mm(near.inside)} beyond the cut. It shows where the knife is off by more.`;
    case 'stretched': {
      const left = insideStretched(near, page);
      return left <= 0 ? 'pushed over the trim and cut off.' : `then ${mm(left)} from it.`;
    }
  }
}
