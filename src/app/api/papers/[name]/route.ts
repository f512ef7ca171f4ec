import { removeRecord, saveRecord } from '@/server/books';
import type { Params } from '@/server/params';
import { readJson, route } from '@/server/respond';

export const PUT = route<Params<'name'>>(async (request, { params }) => {
  const { name } = await params;
  await saveRecord('papers', name, await readJson(request));
});

export const DELETE = route<Params<'name'>>(async (_request, { params }) => {
  const { name } = await params;
  await removeRecord('papers', name);
});
