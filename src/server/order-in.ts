import 'server-only';
import { z } from 'zod';
import type { Order } from '@/intake';
import { unclear } from './problems';

const side = z.coerce.number().min(1).max(50_000);
/** As an address says it: `?pages=2&width=148&height=210&bleed=3`, mm. */
const Said = z.object({
  pages: z.coerce.number().int().min(1).max(10_000).optional(),
  width: side.optional(),
  height: side.optional(),
  bleed: z.coerce.number().min(0).max(500).optional(),
});

/** What was ordered, as far as an address says it. @throws Problem where that cannot be read */
export function orderIn(search: URLSearchParams): Order {
  const said = Said.safeParse(Object.fromEntries(search));
  if (!said.success) throw unclear.order();
  const { pages, width, height, bleed } = said.data;
  const sizes = width !== undefined && height !== undefined ? [{ width, height }] : undefined;
  return { ...(pages !== undefined && { pages }), ...(sizes && { sizes }), ...(bleed !== undefined && { bleed }) };
}
