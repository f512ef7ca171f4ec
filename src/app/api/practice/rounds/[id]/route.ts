import type { Params } from '@/server/params';
import { handIn, readRound } from '@/server/practice';
import { readJson, route } from '@/server/respond';

export const GET = route<Params<'id'>>(async (_request, { params }) => readRound((await params).id));

/** Hands in what was marked. */
export const PUT = route<Params<'id'>>(async (request, { params }) =>
  handIn((await params).id, await readJson(request)),
);
