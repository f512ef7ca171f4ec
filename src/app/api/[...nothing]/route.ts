import { route } from '@/server/respond';
import { missing } from '@/server/problems';

const nothing = route(() => Promise.reject(missing.address()));

/** Whatever no other route answers. */
export { nothing as DELETE, nothing as GET, nothing as POST, nothing as PUT };
