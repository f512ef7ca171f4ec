import { listRecords } from '@/server/books';
import { route } from '@/server/respond';

export const GET = route(async () => ({ records: await listRecords('kits') }));
