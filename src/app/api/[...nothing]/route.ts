import { Problem } from '@/server/problem';
import { route } from '@/server/respond';

const nothing = route(() =>
  Promise.reject(new Problem(404, 'There is nothing at this address.', 'Look on the board, or in the shop books.')),
);

/** Whatever no other route answers. */
export { nothing as DELETE, nothing as GET, nothing as POST, nothing as PUT };
