import { z } from 'zod';
import { lessonsFor } from '@/server/lessons';
import { unclear } from '@/server/problems';
import { route } from '@/server/respond';

const fact = z.string().max(200).default('');
const Asked = z.object({ kind: fact, client: fact, printer: fact, paper: fact, not: fact });

/** What was learnt with jobs like the one that is told of. */
export const GET = route(async (request: Request) => {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw unclear.facts();
  const { not, ...facts } = asked.data;
  return { lessons: await lessonsFor(facts, not) };
});
