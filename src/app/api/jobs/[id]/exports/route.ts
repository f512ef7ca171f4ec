import { z } from 'zod';
import { listExports, requestExport } from '@/server/exports';
import type { Params } from '@/server/params';
import { Problem } from '@/server/problem';
import { readJson, route } from '@/server/respond';

const Body = z.object({ kind: z.string() });

export const GET = route<Params<'id'>>(async (_request, { params }) => listExports((await params).id));

export const POST = route<Params<'id'>>(async (request, { params }) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success) throw new Problem(400, 'Say which kind of file is wanted.', 'Reload the page and try again.');
  return requestExport((await params).id, body.data.kind);
});
