import { readable } from '../fields';

/** The first characters; none is cut in two. */
export const cutTo = (text: string, most: number): string => Array.from(text).slice(0, most).join('');

/** Words as they are quoted in a sentence about what changed. */
export const quoted = (text: string): string => `“${text.length > 60 ? `${text.slice(0, 60)}…` : text}”`;

/** Words of several paragraphs in one line, their fields spelt out. */
export const oneLine = (text: string): string => readable(text).replace(/\s+/g, ' ').trim();
