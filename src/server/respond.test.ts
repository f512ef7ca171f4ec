import { readJson, route } from './respond';

const ask = (error: unknown) =>
  route(() => Promise.reject(error as Error))(
    new Request('http://localhost/api', { headers: { host: 'localhost' } }),
    {},
  );

/**
 * Codes of the operating system (errno) and of SQLite (sqlite.org/rescode.html), as Node and Sequelize hand them on.
 */
test.each([
  [Object.assign(new Error('write'), { code: 'ENOSPC' }), 507, /disk that holds .* is full/],
  [{ original: { code: 'SQLITE_FULL', message: 'SQLITE_FULL: database or disk is full' } }, 507, /is full/],
  [Object.assign(new Error('open'), { code: 'EROFS' }), 507, /cannot be written to/],
  [{ original: { code: 'SQLITE_READONLY' } }, 507, /cannot be written to/],
  [{ original: { code: 'SQLITE_CORRUPT' } }, 500, /database in .* is damaged/],
  [new Error('a riddle'), 500, /Something went wrong/],
])('%j is said in words', async (error, status, words) => {
  const quiet = console.error;
  console.error = () => undefined;
  const answer = await ask(error).finally(() => (console.error = quiet));
  expect(answer.status).toBe(status);
  const { error: said } = (await answer.json()) as { error: { message: string; todo: string } };
  expect(said.message).toMatch(words);
  expect(said.todo).not.toBe('');
});

test.each([
  ['{"a":', 400, /not JSON/],
  [`${'['.repeat(100_000)}${']'.repeat(100_000)}`, 400, /nested deeper/],
  [`{"a":${'['.repeat(150)}${']'.repeat(150)}}`, 200, /^$/],
])('%#: a body that is broken, too deep, or as deep as it may be', async (body, status, words) => {
  const headers = { host: 'localhost', origin: 'http://localhost' };
  const answer = await route(async (request: Request) => ({ taken: await readJson(request) }))(
    new Request('http://localhost/api', { method: 'POST', headers, body }),
    {},
  );
  expect(answer.status).toBe(status);
  const { error } = (await answer.json()) as { error?: { message: string } };
  expect(error?.message ?? '').toMatch(words);
});
