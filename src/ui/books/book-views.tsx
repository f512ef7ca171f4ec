import type { ComponentType } from 'react';
import { formatNumber } from '@/core/measure';
import type { Kit } from '@/core/job';
import { House, Stock } from '@/core/shop';
import { api, type Book } from '../shell/api';
import { KitForm } from './KitForm';
import { PaperForm } from './PaperForm';
import { PrinterForm } from './PrinterForm';
import type { GridColumn } from '../shell/RecordGrid';
import type { FormProps } from './form-props';

/** How a book of the shop is shown. */
export interface BookView<R> {
  readonly book: Book;
  /** One of its records. */
  readonly word: string;
  readonly list: () => Promise<{ readonly records: readonly R[] }>;
  /** What stands beside the name. */
  readonly columns: readonly GridColumn<R>[];
  /** A new record to fill in, where it is begun here. */
  readonly begun: (() => R) | undefined;
  /** What is said of an empty book. */
  readonly empty: string;
  readonly Form: ComponentType<FormProps<R>>;
}

const names = (sheets: readonly { readonly name: string }[]) => sheets.map((s) => s.name).join(', ');
const inMm = (mm: number) => `${formatNumber(mm)} mm`;

/** A column of words; what is not said is a dash. */
function words<R>(head: string, say: (record: R) => string | null | undefined): GridColumn<R> {
  const value = (record: R) => say(record) || null;
  return { id: head, head, value, show: (record) => value(record) ?? '–' };
}

/** A column of figures, sorted by what they are worth. @param open what is written where there is none */
function figure<R>(
  head: string,
  count: (record: R) => number | null | undefined,
  write: (count: number) => string,
  open = '–',
): GridColumn<R> {
  const value = (record: R) => count(record) ?? null;
  const show = (record: R) => {
    const found = value(record);
    return found === null ? open : write(found);
  };
  return { id: head, head, value, show, isFigure: true };
}

export const PAPERS: BookView<Stock> = {
  book: 'papers',
  word: 'paper',
  list: api.papers,
  columns: [
    words('Surface', (p) => p.kind),
    figure(
      'Weight',
      (p) => p.grammage,
      (weight) => `${weight} g/m²`,
    ),
    figure('Thickness', (p) => p.thickness, inMm, 'by weight'),
    words('Grain', (p) => p.grain),
    words('Sheets', (p) => names(p.sheets)),
  ],
  begun: () => Stock.parse({}),
  empty: 'This book is empty.',
  Form: PaperForm,
};

export const PRINTERS: BookView<House> = {
  book: 'printers',
  word: 'printer',
  list: api.printers,
  columns: [
    figure('Bleed', (p) => p.bleed?.top, inMm),
    figure('Safe', (p) => p.safe?.top, inMm),
    figure(
      'Ink',
      (p) => p.inkLimit,
      (limit) => `${limit} %`,
    ),
    figure(
      'Smallest type',
      (p) => p.minTypePt,
      (size) => `${size} pt`,
    ),
    words('Panels', (p) => p.allowance),
    words('Sheets', (p) => names(p.sheets)),
    figure('Days', (p) => p.leadDays, String),
  ],
  begun: () => House.parse({}),
  empty: 'This book is empty.',
  Form: PrinterForm,
};

export const KITS: BookView<Kit> = {
  book: 'kits',
  word: 'kit',
  list: api.kits,
  columns: [
    figure('Colours', (kit) => kit.colours.length, String),
    words('Families', (kit) => kit.families.join(', ')),
    figure('Styles', (kit) => kit.styles.length + kit.cellStyles.length, String),
    figure('Measures', (kit) => kit.measures.length, String),
    figure('Logos', (kit) => Object.keys(kit.logos).length, String),
  ],
  begun: undefined,
  empty: 'No kit yet. Open a job that looks as the client’s pieces should, and make a kit of it under Brief.',
  Form: KitForm,
};
