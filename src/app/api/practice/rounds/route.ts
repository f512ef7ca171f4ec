import { beginRound } from '@/server/practice';
import { readJson, route } from '@/server/respond';

/** Spoils a piece for somebody. */
export const POST = route(async (request) => beginRound(await readJson(request), request.signal));
