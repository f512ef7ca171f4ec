import { readCurrent, setRemoved } from '@/server/jobs';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id'>>(async (_request, { params }) => readCurrent((await params).id));

export const DELETE = route<Params<'id'>>(async (_request, { params }) => setRemoved((await params).id, true));

/** Puts a removed job back on the board. */
export const PUT = route<Params<'id'>>(async (_request, { params }) => setRemoved((await params).id, false));
