import { countDrill } from '@/server/practice';
import { readJson, route } from '@/server/respond';

/** Counts a sum that somebody worked out. */
export const POST = route(async (request) => countDrill(await readJson(request)));
