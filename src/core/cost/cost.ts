import { counted, formatCount, formatMoney, formatNumber } from '../measure';
import { FINISH_TITLES, type FinishKind, type Prices } from '../shop';
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

/** What a job costs, printed in one way. @param copies of all records together, where it has some */
export function costOf(way: Way, copies: number): Costed {
  const found = calculated(way, copies);
  if (!found) return { ok: false, message: `${way.house.name || 'The house'} has no prices. Set them under Books.` };
  const { prices, total, made, sheets, undone } = found;
  return {
    ok: true,
    cost: {
      currency: prices.currency,
      copies: made,
      lines: found.lines.map(({ name, working, money }) => ({ name, working: working(), money })),
      total,
      each: total / made,
      sheets,
      unpriced: [...found.missing],
      undone: undone.map((finish) => FINISH_TITLES[finish].toLowerCase()),
    },
  };
}

/** How a way compares with others: what is left undone there, and its price. Nothing is put into words. */
export interface Standing {
  readonly undone: number;
  readonly total: number;
}

/** @returns undefined where the house has no prices */
export function standingOf(way: Way, copies: number): Standing | undefined {
  const found = calculated(way, copies);
  return found && { undone: found.undone.length, total: found.total };
}

/** Copies that are made: each record as often as the others. */
const madeOf = ({ records }: Way, copies: number): number => records * Math.ceil(copies / records);

/** Lines that are gathered, and what had no price. Words are made only for what is shown. */
class Calculation {
  readonly lines: { readonly name: string; readonly working: () => string; readonly money: number }[] = [];
  readonly missing = new Set<string>();

  constructor(readonly prices: Prices) {}

  get sum(): number {
    return this.lines.reduce((total, { money }) => total + money, 0);
  }

  /** @param money undefined where no price was said */
  add(name: string, working: () => string, money: number | undefined): void {
    if (money === undefined) this.missing.add(name.toLowerCase());
    else if (money > 0) this.lines.push({ name, working, money });
  }
}

function calculated(way: Way, copies: number) {
  const { prices } = way.house;
  if (!prices) return undefined;
  const calculation = new Calculation(prices);
  const made = madeOf(way, copies);
  const sheets = way.sheets.reduce((all, kind) => all + printed(calculation, way, kind, made), 0);
  if (prices.click) calculation.add('Made ready', () => 'once', prices.makeReady);
  for (const finish of way.finishes) finished(calculation, way, finish, { made, sheets });
  // Where nothing is asked for it, it is fetched.
  calculation.add('Delivery', () => 'once', prices.delivery ?? 0);
  const { least = 0 } = prices;
  const up = Math.max(0, least - calculation.sum);
  calculation.add('Smallest bill', () => `at least ${formatMoney(least, prices.currency)}`, up);
  const undone = way.finishes.filter((finish) => !prices.finish[finish]);
  const { lines, missing, sum } = calculation;
  return { prices, lines, missing, total: sum, made, sheets, undone };
}

const per1000 = (count: number, price: number | undefined): number | undefined =>
  price === undefined ? undefined : (count / 1000) * price;

/** Paper, plates and press of sheets that are printed alike. @returns sheets that go through the press */
function printed(calculation: Calculation, way: Way, sheet: PrintedSheet, made: number): number {
  const { prices } = calculation;
  const { name, kinds, size, up, passes, sides } = sheet;
  const sets = kinds * sheet.sets.length;
  const good = kinds * Math.ceil(made / up);
  const spoilt = sets * prices.makeReadySheets + Math.ceil((good * prices.spoilage) / 100);
  const sheets = good + spoilt;
  const said = (what: string) => (way.sheets.length === 1 ? what : `${what}, ${name}`);
  const area = (size.width * size.height) / 1e6;
  paper(calculation, way, said('Paper'), { good, spoilt, size });
  if (prices.click) {
    const { colour, black } = prices.click;
    const money = sides.reduce((sum, { isColour }) => sum + sheets * (isColour ? colour : black), 0);
    calculation.add(said('Print'), () => `${counted(sides.length, 'side')} of ${formatCount(sheets)} sheets`, money);
    return sheets;
  }
  if (prices.square !== undefined) {
    const metres = sheets * area * sides.length;
    calculation.add(said('Print'), () => `${formatNumber(metres, 2)} m² printed`, metres * prices.square);
    return sheets;
  }
  const plates = kinds * sheet.sets.reduce((sum, inks) => sum + inks, 0);
  calculation.add(said('Plates'), () => platesWords(sheet.sets, kinds), times(plates, prices.plate));
  const setsWords = () => counted(sets, 'set of plates', 'sets of plates');
  calculation.add(said('Made ready'), setsWords, times(sets, prices.makeReady));
  const runWords = () => `${formatCount(sheets)} sheets, ${counted(passes, 'pass', 'passes')}`;
  calculation.add(said('Run'), runWords, per1000(sheets * passes, prices.run));
  return sheets;
}

interface Paper extends Pick<PrintedSheet, 'size'> {
  readonly good: number;
  readonly spoilt: number;
}

function paper(calculation: Calculation, { grammage }: Way, name: string, { good, spoilt, size }: Paper): void {
  const { paper: tonne, square } = calculation.prices;
  // By the square metre the material is in the price.
  if (square !== undefined && tonne === undefined) return;
  const area = (size.width * size.height) / 1e6;
  const tonnes = grammage === null ? undefined : ((good + spoilt) * area * grammage) / 1e6;
  const words = () =>
    [
      `${formatCount(good)} sheets + ${formatCount(spoilt)} spoilt`,
      `${formatNumber(size.width, 1)} × ${formatNumber(size.height, 1)} mm`,
      `${formatNumber(grammage ?? 0, 0)} g/m² = ${formatNumber((tonnes ?? 0) * 1000, 1)} kg`,
    ].join(', ');
  calculation.add(name, words, tonne === undefined || tonnes === undefined ? undefined : tonnes * tonne);
}

/** `4 + 4 plates`, or so many times that. */
function platesWords(sets: readonly number[], kinds: number): string {
  const [only] = sets;
  if (kinds > 1) return `${kinds} × (${sets.join(' + ')}) plates`;
  return sets.length === 1 && only !== undefined ? counted(only, 'plate') : `${sets.join(' + ')} plates`;
}

const times = (count: number, price: number | undefined): number | undefined =>
  price === undefined ? undefined : count * price;

/** These are done to whole sheets. */
const OF_SHEETS: readonly FinishKind[] = ['trim', 'coating', 'fold'];

/** A book is folded sheet by sheet, a folder copy by copy. */
function finished(
  calculation: Calculation,
  { finishes }: Way,
  finish: FinishKind,
  { made, sheets }: { readonly made: number; readonly sheets: number },
): void {
  const isBook = finishes.some((one) => one === 'saddle' || one === 'perfect');
  const isOfSheets = OF_SHEETS.includes(finish) && (finish !== 'fold' || isBook);
  const count = isOfSheets ? sheets : made;
  const price = calculation.prices.finish[finish];
  const words = () => {
    const many = `${formatCount(count)} ${isOfSheets ? 'sheets' : 'copies'}`;
    return price && price.setUp > 0 ? `set up, and ${many}` : many;
  };
  calculation.add(FINISH_TITLES[finish], words, price && price.setUp + (per1000(count, price.per1000) ?? 0));
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
export function carried(way: Way, copies: number): Carried | undefined {
  if (way.copyWeight === undefined) return undefined;
  const kg = (way.copyWeight * madeOf(way, copies)) / 1000;
  return { kg, parcels: Math.ceil(kg / PARCEL), pallets: kg > PALLET / 2 ? Math.ceil(kg / PALLET) : 0 };
}
