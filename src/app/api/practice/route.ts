import { practice } from '@/server/practice';
import { route } from '@/server/respond';

/** Those who practise, and the pieces that can be taken. */
export const GET = route(() => practice());
