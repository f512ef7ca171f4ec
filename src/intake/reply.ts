import type { Rect } from '../core/geometry';
import type { House } from '../core/shop';
import { houseFor, scaleOf } from './house-for';
import { nearEdges, type NearEdge } from './near-edge';
import type { ReadFile } from './painted';
import { readFile } from './read-file';
import { mmOf, trimOf, type Order, type Weight } from './rule';
import { INTAKE_RULES } from './rules';

/** What a house says of one thing in a file. */
export interface Remark {
  readonly rule: string;
  readonly title: string;
  readonly weight: Weight;
  /** From 1; none where it is about the whole file. */
  readonly pages: readonly number[];
  /** Where on the first of them, mm from the trimmed top-left corner of the page, y down. */
  readonly where?: Rect;
  readonly found: string;
  /** In how many places. */
  readonly count: number;
  /** What the house wants instead. */
  readonly wish: string;
}

/** The answer of a house: taken, taken with remarks, or sent back. */
export interface Reply {
  readonly answer: 'taken' | 'taken with remarks' | 'sent back';
  readonly pages: number;
  /** Finished size of the first page, mm. */
  readonly size: { readonly width: number; readonly height: number };
  readonly remarks: readonly Remark[];
  /** What would show where a page is given the bleed that it lacks. */
  readonly near: readonly NearEdge[];
}

const ORDER: readonly Weight[] = ['fault', 'warning', 'note'];

/**
 * What a print house answers to a file, by its bytes and the house’s own book alone.
 * @throws NotReadable where there is nothing to look at
 */
export async function replyTo(bytes: Uint8Array, house: House, order: Order = {}): Promise<Reply> {
  const file = await readFile(bytes);
  const scale = scaleOf(file, order);
  const held = houseFor(house, order, scale);
  const sizes = order.sizes?.map(({ width, height }) => ({ width: width / scale, height: height / scale }));
  const all = INTAKE_RULES.flatMap((rule) =>
    rule
      .look({ file, house: held, order: { ...order, sizes } })
      .map(({ weight, page, box, found, count = 1 }): Remark => {
        const where = box && page !== undefined ? placed(file, page, box) : undefined;
        return {
          rule: rule.id,
          title: rule.title,
          weight,
          pages: page === undefined ? [] : [page],
          ...(where && { where }),
          found,
          count,
          wish: rule.wish(held),
        };
      }),
  );
  const remarks = together(all).sort((a, b) => ORDER.indexOf(a.weight) - ORDER.indexOf(b.weight));
  const [first] = file.pages;
  const { width, height } = first ? trimOf(first) : { width: 0, height: 0 };
  return {
    answer: answerOf(remarks),
    pages: file.pages.length,
    size: { width: mmOf(width), height: mmOf(height) },
    remarks,
    near: nearEdges(file, held),
  };
}

/** What is said of several pages in the same words, once. */
function together(remarks: readonly Remark[]): Remark[] {
  const known = new Map<string, Remark>();
  for (const remark of remarks) {
    const key = `${remark.rule} ${remark.weight} ${remark.found}`;
    const before = known.get(key);
    known.set(key, before ? joined(before, remark) : remark);
  }
  return [...known.values()];
}

const joined = (a: Remark, b: Remark): Remark => ({
  ...a,
  pages: [...a.pages, ...b.pages],
  count: a.count + b.count,
});

function answerOf(remarks: readonly Remark[]): Reply['answer'] {
  if (remarks.some(({ weight }) => weight === 'fault')) return 'sent back';
  return remarks.some(({ weight }) => weight === 'warning') ? 'taken with remarks' : 'taken';
}

/** From points on a page, y up, to millimetres from its trimmed top-left corner, y down. */
function placed({ pages }: ReadFile, page: number, box: Rect): Rect | undefined {
  const facts = pages[page - 1];
  if (!facts) return undefined;
  const trim = trimOf(facts);
  return {
    x: mmOf(box.x - trim.x),
    y: mmOf(trim.y + trim.height - box.y - box.height),
    width: mmOf(box.width),
    height: mmOf(box.height),
  };
}
