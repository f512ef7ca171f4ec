import { PORT } from '../playwright.config';

/** The board’s pictures are drawn once, before the tests, which then find the server at rest. */
export default async function warmUp(): Promise<void> {
  const base = `http://127.0.0.1:${PORT}/api/jobs`;
  const { jobs } = (await (await fetch(base)).json()) as { jobs: { id: string; head: number }[] };
  for (const { id, head } of jobs)
    for (const view of ['thumbnail', 'checks']) await (await fetch(`${base}/${id}/${view}?rev=${head}`)).arrayBuffer();
}
