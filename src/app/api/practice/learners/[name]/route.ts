import type { Params } from '@/server/params';
import { forgetLearner } from '@/server/practice';
import { route } from '@/server/respond';

/** Forgets somebody who practised, with all rounds. */
export const DELETE = route<Params<'name'>>(async (_request, { params }) => forgetLearner((await params).name));
