import type { ListMark } from '../element';

const ROMAN: readonly (readonly [number, string])[] = [
  [1000, 'm'],
  [900, 'cm'],
  [500, 'd'],
  [400, 'cd'],
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
];

/** Lower-case Roman numerals; plain figures where there are none. */
function roman(n: number): string {
  if (n < 1 || n > 3999) return String(n);
  let rest = n;
  let out = '';
  for (const [value, sign] of ROMAN) {
    while (rest >= value) {
      out += sign;
      rest -= value;
    }
  }
  return out;
}

/** a, b … z, aa, ab … */
function letters(n: number): string {
  if (n < 1) return String(n);
  const rest = (n - 1) % 26;
  const more = Math.floor((n - 1) / 26);
  return (more > 0 ? letters(more) : '') + String.fromCharCode(97 + rest);
}

export type NumberStyle = Extract<ListMark, { list: 'number' }>['style'];

/** A number as it is written in a style. */
export function writeNumber(n: number, style: NumberStyle): string {
  switch (style) {
    case '1':
      return String(n);
    case 'a':
      return letters(n);
    case 'A':
      return letters(n).toUpperCase();
    case 'i':
      return roman(n);
    case 'I':
      return roman(n).toUpperCase();
  }
}

/**
 * What stands before each paragraph; a list counts on until a paragraph without a number comes between.
 * @returns undefined where a paragraph is in no list
 */
export function listMarks(lists: readonly (ListMark | null)[]): readonly (string | undefined)[] {
  let count: number | undefined;
  return lists.map((list) => {
    if (list?.list === 'bullet') return list.mark;
    if (!list) {
      count = undefined;
      return undefined;
    }
    count = list.start ?? (count === undefined ? 1 : count + 1);
    return writeNumber(count, list.style) + list.after;
  });
}
