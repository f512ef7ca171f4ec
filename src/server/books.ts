import 'server-only';
import type { Transaction } from 'sequelize';
import type { z } from 'zod';
import { House, SHIPPED_PAPERS, SHIPPED_PRINTERS, Stock } from '@/core/shop';
import { Kit, describeProblems } from '@/core/job';
import { store } from './store/database';
import { missing, refused } from './problems';

/** The shop books: what each is called, how a record is read, and what ships in it. */
const BOOKS = {
  papers: { word: 'paper', schema: Stock, shipped: SHIPPED_PAPERS },
  printers: { word: 'printer', schema: House, shipped: SHIPPED_PRINTERS },
  kits: { word: 'kit', schema: Kit, shipped: [] },
} as const;
type Book = keyof typeof BOOKS;

const LOADED = 'books-loaded';

/** Fills the books with what ships, once; what the shop changed since then stays. */
export async function loadBooks(): Promise<void> {
  const { models, write } = await store();
  await write(async (transaction) => {
    if (await models.notes.findByPk(LOADED, { transaction })) return;
    const rows = (records: readonly { readonly name: string }[]) =>
      records.map((record) => ({ name: record.name, record: JSON.stringify(record) }));
    await models.papers.bulkCreate(rows(SHIPPED_PAPERS), { transaction });
    await models.printers.bulkCreate(rows(SHIPPED_PRINTERS), { transaction });
    await models.notes.create({ name: LOADED, value: new Date().toISOString() }, { transaction });
  });
}

export async function listRecords(book: Book): Promise<readonly unknown[]> {
  await loadBooks();
  const { models } = await store();
  const rows = await models[book].findAll({ order: [['name', 'ASC']] });
  return rows.map((row) => BOOKS[book].schema.parse(JSON.parse(row.record)));
}

/** Writes a record: a new one, the same one changed, or one that changed its name. */
export async function saveRecord(book: Book, name: string, data: unknown): Promise<void> {
  const { write } = await store();
  await write((transaction) => putRecord(book, name, data, transaction));
}

/** Writes a record as part of something that is done as one. */
export async function putRecord(book: Book, name: string, data: unknown, transaction: Transaction): Promise<void> {
  const { schema, word } = BOOKS[book];
  const read = (schema as z.ZodType<House | Stock | Kit>).safeParse(data);
  if (!read.success) {
    const problems = describeProblems(read.error);
    throw refused.record(word, problems);
  }
  const own = read.data.name.trim();
  if (own === '') throw refused.nameless(word);
  const { models } = await store();
  const record = JSON.stringify({ ...read.data, name: own });
  const before = await models[book].findOne({ where: { name }, transaction });
  if (own !== name && (await models[book].findOne({ where: { name: own }, transaction })))
    throw refused.nameTaken(word, own);
  if (before) await before.update({ name: own, record }, { transaction });
  else await models[book].create({ name: own, record }, { transaction });
}

/** Takes a record out of its book; jobs that took their facts from it keep them. */
export async function removeRecord(book: Book, name: string): Promise<void> {
  const { models, write } = await store();
  const gone = await write((transaction) => models[book].destroy({ where: { name }, transaction }));
  if (gone === 0) throw missing.record(BOOKS[book].word, name);
}
