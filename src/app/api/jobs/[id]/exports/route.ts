import { z } from 'zod';
import { listExports, requestExport } from '@/server/exports';
import type { Params } from '@/server/params';
import { readJson, route } from '@/server/respond';
import { unclear } from '@/server/problems';

const Body = z.object({ kind: z.string(), revision: z.number().int().min(1).optional() });

export const GET = route<Params<'id'>>(async (_request, { params }) => listExports((await params).id));

export const POST = route<Params<'id'>>(async (request, { params }) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success) throw unclear.noKind();
  return requestExport((await params).id, body.data.kind, body.data.revision);
});
