/** Rows of a section, at most [own]. */
const MOST_ROWS = 500;
/** A section of a list. */
export interface Section {
  readonly heading: string;
  /** Left out, what the other sections leave. */
  readonly rows: number | undefined;
}

type Read =
  { readonly ok: true; readonly sections: readonly Section[] } | { readonly ok: false; readonly message: string };

/** `Must be done: 5` or `If there is time: rest`, one a line. */
export function readList(text: string): Read {
  const sections: Section[] = [];
  for (const line of text.split('\n')) {
    if (line.trim() === '') continue;
    const colon = line.lastIndexOf(':');
    const said = colon < 0 ? '' : line.slice(colon + 1).trim();
    const rows = /^(?:\d+|rest)$/i.test(said) ? said : '';
    const heading = rows === '' ? line : line.slice(0, colon);
    if (Number(rows) > MOST_ROWS)
      return { ok: false, message: `“${line}” asks for more rows than a page has: at most ${MOST_ROWS}.` };
    sections.push({
      heading: heading.trim(),
      rows: rows === '' || rows.toLowerCase() === 'rest' ? undefined : Number(rows),
    });
  }
  return { ok: true, sections };
}
