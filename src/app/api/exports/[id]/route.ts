import { cancelExport, hurryExport, readExport } from '@/server/exports';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id'>>(async (_request, { params }) => readExport((await params).id));

export const DELETE = route<Params<'id'>>(async (_request, { params }) => cancelExport((await params).id));

/** Has it made before all others that wait. */
export const PATCH = route<Params<'id'>>(async (_request, { params }) => hurryExport((await params).id));
