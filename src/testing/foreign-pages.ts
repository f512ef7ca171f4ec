import { createHash } from 'node:crypto';
import { readDocument } from '../bring-in/document';
import { edges } from '../core/layout';
import { element, inMemory, makeJob, type box } from './jobs';
import { INKS, UNMARKED } from './plates';

/** A page of 100 by 100 points as somebody else’s program might write it. */
export interface Raw {
  readonly content: string;
  readonly resources?: string;
  /** Further entries of the page and of the catalog. */
  readonly page?: string;
  readonly catalog?: string;
  /** Objects from number 5 on, whole. */
  readonly objects?: readonly string[];
}

export function rawPdf({ content, resources = '', page = '', catalog = '', objects = [] }: Raw): Uint8Array {
  const all = [
    `<</Type/Catalog/Pages 2 0 R ${catalog}>>`,
    '<</Type/Pages/Kids[3 0 R]/Count 1>>',
    `<</Type/Page/Parent 2 0 R/MediaBox[0 0 100 100]/Contents 4 0 R/Resources<<${resources}>>${page}>>`,
    `<</Length ${content.length}>>stream\n${content}\nendstream`,
    ...objects,
  ];
  let text = '%PDF-1.6\n';
  const offsets = all.map((object, i) => {
    const at = text.length;
    text += `${i + 1} 0 obj\n${object}\nendobj\n`;
    return at;
  });
  const xref = text.length;
  text +=
    `xref\n0 ${all.length + 1}\n0000000000 65535 f \n` +
    offsets.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('');
  text += `trailer<</Size ${all.length + 1}/Root 1 0 R>>\nstartxref\n${xref}\n%%EOF\n`;
  return Uint8Array.from(text, (c) => c.charCodeAt(0));
}

const PT = 25.4 / 72;

export type More = Readonly<Record<string, unknown>>;

/** A job that shows pages side by side, each 100 points wide, over what else there is. */
export async function placed(
  pages: readonly Uint8Array[],
  more: More = {},
  beneath: readonly ReturnType<typeof box>[] = [],
  job: More = {},
) {
  const assets: Record<string, unknown> = {};
  const files = new Map<string, Uint8Array>();
  const elements = [];
  for (const [i, bytes] of pages.entries()) {
    const read = await readDocument(`page-${i}.pdf`, bytes);
    if (!read.ok) throw new Error(read.problem);
    const sha = createHash('sha256').update(bytes).digest('hex');
    assets[sha] = read.document;
    files.set(sha, bytes);
    const placement = {
      against: { box: 'trim' },
      x: { start: i * 100 * PT, size: 100 * PT },
      y: { start: 0, size: 100 * PT },
    } as const;
    elements.push(element<'page'>({ kind: 'page', id: `p${i}`, document: sha, placement, ...more }));
  }
  const size = { width: 100 * PT * pages.length, height: 100 * PT };
  const made = makeJob(
    [...beneath, ...elements],
    { assets: assets as never, inks: INKS, ...UNMARKED, ...job },
    { size, bleed: edges(0) },
  );
  return { job: made, files: inMemory(files) };
}
