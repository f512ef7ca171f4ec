import { counted, formatNumber } from '../measure';
import type { FinishKind, Prices } from '../shop';
import type { PrintedSheet, Way } from './way';

/** A line of a calculation. */
export interface CostLine {
  readonly name: string;
  /** How it comes about, in words and figures. */
  readonly working: string;
  readonly money: number;
}

export interface Cost {
  readonly currency: string;
  readonly copies: number;
  readonly lines: readonly CostLine[];
  readonly total: number;
  /** Of one copy. */
  readonly each: number;
  /** Sheets that are bought, what is spoilt among them. */
  readonly sheets: number;
  /** What no price was said for, in words: it is not counted. */
  readonly unpriced: readonly string[];
  /** What has to be done to it and has no price there, in words: the house does not do it. */
  readonly undone: readonly string[];
}

export type Costed = { readonly ok: true; readonly cost: Cost } | { readonly ok: false; readonly message: string };

/** What a job costs, printed in one way. @param copies of each sheet of it; of records, how often each is wanted */
export function costOf(way: Way, copies: number): Costed {
  const { prices } = way.house;
  if (!prices) return { ok: false, message: `${way.house.name || 'The house'} has no prices. Set them under Books.` };
  const calculation = new Calculation(prices);
  const bought = alike(way.sheets).map((sheets) => printed(calculation, way, sheets, copies));
  if (prices.click) calculation.add('Made ready', 'once', prices.makeReady);
  for (const finish of way.finishes) finished(calculation, way, finish, copies, bought);
  // Where nothing is asked for it, it is fetched.
  calculation.add('Delivery', 'once', prices.delivery ?? 0);
  const lines = calculation.lines;
  const sum = lines.reduce((total, { money }) => total + money, 0);
  const least = prices.least ?? 0;
  const up =
    least > sum ? [{ name: 'Smallest bill', working: `at least ${written(least, prices)}`, money: least - sum }] : [];
  const total = Math.max(sum, least);
  const made = copies * way.records;
  return {
    ok: true,
    cost: {
      currency: prices.currency,
      copies: made,
      lines: [...lines, ...up],
      total,
      each: total / made,
      sheets: bought.reduce((all, { sheets }) => all + sheets, 0),
      unpriced: calculation.unpriced,
      undone: way.finishes.filter((finish) => !prices.finish[finish]).map((finish) => TITLES[finish].toLowerCase()),
    },
  };
}

/** Money, as a house writes it. */
export const written = (money: number, { currency }: Pick<Prices, 'currency'>): string =>
  `${currency} ${money.toLocaleString('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 })}`;

/** Lines that are gathered, and what had no price. */
class Calculation {
  readonly lines: CostLine[] = [];
  private readonly missing = new Set<string>();

  constructor(readonly prices: Prices) {}

  get unpriced(): readonly string[] {
    return [...this.missing];
  }

  /** @param money undefined where no price was said */
  add(name: string, working: string, money: number | undefined): void {
    if (money === undefined) this.missing.add(name.toLowerCase());
    else if (money > 0) this.lines.push({ name, working, money });
  }
}

interface Bought {
  /** That go through the press. */
  readonly sheets: number;
}

/** Sheets that are printed alike, such as most signatures of a book, are one line. */
function alike(sheets: readonly PrintedSheet[]): readonly (readonly [PrintedSheet, ...PrintedSheet[]])[] {
  const groups = new Map<string, [PrintedSheet, ...PrintedSheet[]]>();
  for (const sheet of sheets) {
    const { name: _, ...facts } = sheet;
    const key = JSON.stringify(facts);
    const group = groups.get(key);
    if (group) group.push(sheet);
    else groups.set(key, [sheet]);
  }
  return [...groups.values()];
}

const per1000 = (count: number, price: number | undefined): number | undefined =>
  price === undefined ? undefined : (count / 1000) * price;

/** Paper, plates and press of sheets that are printed alike. */
function printed(
  calculation: Calculation,
  way: Way,
  [sheet, ...others]: readonly [PrintedSheet, ...PrintedSheet[]],
  copies: number,
): Bought {
  const { prices } = calculation;
  const { name, size, up, passes, sides } = sheet;
  const kinds = 1 + others.length;
  const sets = Array.from({ length: kinds }, () => sheet.sets).flat();
  const good = kinds * Math.ceil((copies * way.records) / up);
  const spoilt = sets.length * prices.makeReadySheets + Math.ceil((good * prices.spoilage) / 100);
  const sheets = good + spoilt;
  const last = others.at(-1)?.name;
  const said = (what: string) =>
    kinds === way.sheets.length ? what : `${what}, ${last === undefined ? name : `${name} to ${last}`}`;
  const area = (size.width * size.height) / 1e6;
  // By the square metre the material is in the price.
  const isInPrice = prices.square !== undefined && prices.paper === undefined;
  if (isInPrice) calculation.add(said('Paper'), 'in the price of the print', 0);
  else if (way.grammage === null) calculation.add(said('Paper'), '', undefined);
  else {
    const tonnes = (sheets * area * way.grammage) / 1e6;
    const bought = `${grouped(good)} sheets + ${grouped(spoilt)} spoilt`;
    const each = `${formatNumber(size.width, 1)} × ${formatNumber(size.height, 1)} mm`;
    const weight = `${formatNumber(way.grammage, 0)} g/m² = ${formatNumber(tonnes * 1000, 1)} kg`;
    calculation.add(
      said('Paper'),
      [bought, each, weight].join(', '),
      prices.paper === undefined ? undefined : tonnes * prices.paper,
    );
  }
  if (prices.click) {
    const { colour, black } = prices.click;
    const money = sides.reduce((sum, { isColour }) => sum + sheets * (isColour ? colour : black), 0);
    calculation.add(said('Print'), `${counted(sides.length, 'side')} of ${grouped(sheets)} sheets`, money);
    return { sheets };
  }
  if (prices.square !== undefined) {
    const metres = sheets * area * sides.length;
    calculation.add(said('Print'), `${formatNumber(metres, 2)} m² printed`, metres * prices.square);
    return { sheets };
  }
  const plates = sets.reduce((sum, inks) => sum + inks, 0);
  calculation.add(said('Plates'), platesWords(sheet.sets, kinds), times(plates, prices.plate));
  calculation.add(
    said('Made ready'),
    counted(sets.length, 'set of plates', 'sets of plates'),
    times(sets.length, prices.makeReady),
  );
  calculation.add(
    said('Run'),
    `${grouped(sheets)} sheets, ${counted(passes, 'pass', 'passes')}`,
    per1000(sheets * passes, prices.run),
  );
  return { sheets };
}

/** `4 + 4 plates`, or so many times that. */
function platesWords(sets: readonly number[], kinds: number): string {
  const [only] = sets;
  if (kinds > 1) return `${kinds} × (${sets.join(' + ')}) plates`;
  return sets.length === 1 && only !== undefined ? counted(only, 'plate') : `${sets.join(' + ')} plates`;
}

const times = (count: number, price: number | undefined): number | undefined =>
  price === undefined ? undefined : count * price;

const grouped = (n: number): string => n.toLocaleString('en-GB');

/** These are done to whole sheets. */
const OF_SHEETS: readonly FinishKind[] = ['trim', 'coating', 'fold'];

const TITLES: Readonly<Record<FinishKind, string>> = {
  trim: 'Cut to size',
  fold: 'Fold',
  score: 'Score',
  perforation: 'Perforate',
  drill: 'Drill',
  glue: 'Glue',
  cut: 'Cut out',
  'kiss-cut': 'Cut through the face',
  coating: 'Coat',
  saddle: 'Stitch',
  perfect: 'Bind',
  wire: 'Bind with wire',
};

/** A book is folded sheet by sheet, a folder copy by copy. */
function finished(
  calculation: Calculation,
  way: Way,
  finish: FinishKind,
  copies: number,
  bought: readonly Bought[],
): void {
  const isBook = way.finishes.some((one) => one === 'saddle' || one === 'perfect');
  const isOfSheets = OF_SHEETS.includes(finish) && (finish !== 'fold' || isBook);
  const all = bought.reduce((sum, { sheets }) => sum + sheets, 0);
  const made = copies * way.records;
  const [count, what] = isOfSheets ? [all, 'sheets'] : [made, 'copies'];
  const price = calculation.prices.finish[finish];
  calculation.add(
    TITLES[finish],
    price && price.setUp > 0 ? `set up, and ${grouped(count)} ${what}` : `${grouped(count)} ${what}`,
    price && price.setUp + (per1000(count, price.per1000) ?? 0),
  );
}

/** How a run is carried: parcels and pallets no heavier than is usual [cp]. */
export interface Carried {
  readonly kg: number;
  readonly parcels: number;
  readonly pallets: number;
}

/** kg [cp] */
const [PARCEL, PALLET] = [15, 600];

/** Weight of a run by the grammage of its paper (ISO 536). */
export function carried({ copyWeight, records }: Way, copies: number): Carried | undefined {
  if (copyWeight === undefined) return undefined;
  const kg = (copyWeight * copies * records) / 1000;
  return { kg, parcels: Math.ceil(kg / PARCEL), pallets: kg > PALLET / 2 ? Math.ceil(kg / PALLET) : 0 };
}
