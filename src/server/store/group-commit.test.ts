import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { Problem } from '../problem';
import { groupCommit } from './group-commit';

/** A database of names, and what another connection sees of it. */
async function names() {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-group-'));
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: join(folder, 'names.sqlite'),
    logging: false,
  });
  await sequelize.query('PRAGMA journal_mode = WAL');
  await sequelize.query('CREATE TABLE names (name TEXT PRIMARY KEY)');
  const put = (name: string) => async (transaction: Transaction) => {
    await sequelize.query('INSERT INTO names VALUES (?)', { replacements: [name], transaction });
    return name;
  };
  const seen = async () => {
    const [rows] = await sequelize.query('SELECT name FROM names ORDER BY name');
    return (rows as { name: string }[]).map((row) => row.name);
  };
  const end = async () => {
    await sequelize.close();
    rmSync(folder, { recursive: true, force: true });
  };
  return { write: groupCommit(sequelize), put, seen, end };
}

const settled = async (all: readonly Promise<unknown>[]) =>
  (await Promise.allSettled(all)).map((r) => (r.status === 'fulfilled' ? r.value : String(r.reason)));

test('writes that come together are each kept whole; what one refuses is undone, and nothing else', async () => {
  const { write, put, seen, end } = await names();
  const refuses = (name: string) =>
    write(async (transaction) => {
      await put(name)(transaction);
      throw new Problem(409, 'No.', 'Do otherwise.');
    });
  const results = await settled([write(put('a')), refuses('b'), write(put('c')), refuses('d'), write(put('e'))]);
  expect(results).toEqual(['a', 'Error: No.', 'c', 'Error: No.', 'e']);
  expect(await seen()).toEqual(['a', 'c', 'e']);
  await end();
});

test('what the database refuses of one does not take the others with it', async () => {
  const { write, put, seen, end } = await names();
  const results = await settled([write(put('a')), write(put('b')), write(put('b')), write(put('c'))]);
  expect(results.map((r) => /Validation error|UNIQUE/.test(String(r)))).toEqual([false, false, true, false]);
  expect(await seen()).toEqual(['a', 'b', 'c']);
  await end();
});

test('a write is done once others see it, in the order in which they came', async () => {
  const { write, put, seen, end } = await names();
  const order: string[] = [];
  await Promise.all(
    Array.from({ length: 40 }, async (_, i) => {
      const name = await write(put(String(i).padStart(2, '0')));
      order.push(name);
      expect(await seen()).toContain(name);
    }),
  );
  expect(order).toEqual([...order].sort());
  expect(order).toHaveLength(40);
  await end();
});
