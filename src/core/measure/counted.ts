/**
 * A number with its noun.
 * @param many what several are called, where an s does not make it
 * @example counted(1, 'box', 'boxes') // 1 box
 */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
