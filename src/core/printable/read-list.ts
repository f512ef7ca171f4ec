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
    const [, heading = '', rows = ''] = /^(.*?)(?::\s*(\d+|rest))?\s*$/i.exec(line.trim()) ?? [];
    if (Number(rows) > 500) return { ok: false, message: `“${line}” asks for more rows than a page has: 500 at most.` };
    sections.push({ heading: heading.trim(), rows: rows === '' || rows.toLowerCase() === 'rest' ? undefined : Number(rows) });
  }
  return { ok: true, sections };
} // prettier-ignore
