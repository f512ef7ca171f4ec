import { exportedFile } from '@/server/exports';
import { download } from '@/server/files';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id' | 'name'>>(async (_request, { params }) => {
  const { id, name } = await params;
  const { bytes, type } = await exportedFile(id, name);
  return download(bytes, type, name);
});
