import type { ComponentType } from 'react';
import { formatNumber } from '@/core/measure';
import type { Kit } from '@/core/job';
import { House, Stock } from '@/core/shop';
import { api, type Book } from '../shell/api';
import { KitForm } from './KitForm';
import { PaperForm } from './PaperForm';
import { PrinterForm } from './PrinterForm';
import type { FormProps } from './form-props';

/** How a book of the shop is shown. */
export interface BookView<R> {
  readonly book: Book;
  /** One of its records. */
  readonly word: string;
  readonly list: () => Promise<{ readonly records: readonly R[] }>;
  readonly heads: readonly string[];
  /** What stands beside the name. */
  readonly cells: (record: R) => readonly string[];
  /** A new record to fill in, where it is begun here. */
  readonly begun: (() => R) | undefined;
  /** What is said of an empty book. */
  readonly empty: string;
  readonly Form: ComponentType<FormProps<R>>;
}

const names = (sheets: readonly { readonly name: string }[]) => sheets.map((s) => s.name).join(', ') || '–';

export const PAPERS: BookView<Stock> = {
  book: 'papers',
  word: 'paper',
  list: api.papers,
  heads: ['Paper', 'Surface', 'Weight', 'Thickness', 'Grain', 'Sheets'],
  cells: (p) => [
    p.kind,
    p.grammage === null ? '–' : `${p.grammage} g/m²`,
    p.thickness === null ? 'by weight' : `${formatNumber(p.thickness)} mm`,
    p.grain ?? '–',
    names(p.sheets),
  ],
  begun: () => Stock.parse({}),
  empty: 'This book is empty.',
  Form: PaperForm,
};

export const PRINTERS: BookView<House> = {
  book: 'printers',
  word: 'printer',
  list: api.printers,
  heads: ['Printer', 'Bleed', 'Safe', 'Ink', 'Smallest type', 'Panels', 'Sheets', 'Days'],
  cells: (p) => [
    p.bleed ? `${formatNumber(p.bleed.top)} mm` : '–',
    p.safe ? `${formatNumber(p.safe.top)} mm` : '–',
    p.inkLimit ? `${p.inkLimit} %` : '–',
    p.minTypePt ? `${p.minTypePt} pt` : '–',
    p.allowance ?? '–',
    names(p.sheets),
    p.leadDays === undefined ? '–' : String(p.leadDays),
  ],
  begun: () => House.parse({}),
  empty: 'This book is empty.',
  Form: PrinterForm,
};

export const KITS: BookView<Kit> = {
  book: 'kits',
  word: 'kit',
  list: api.kits,
  heads: ['Client', 'Colours', 'Families', 'Styles', 'Measures', 'Logos'],
  cells: (kit) => [
    String(kit.colours.length),
    kit.families.join(', ') || '–',
    String(kit.styles.length + kit.cellStyles.length),
    String(kit.measures.length),
    String(Object.keys(kit.logos).length),
  ],
  begun: undefined,
  empty: 'No kit yet. Open a job that looks as the client’s pieces should, and make a kit of it under Brief.',
  Form: KitForm,
};
