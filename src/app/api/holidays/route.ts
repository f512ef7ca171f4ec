import { z } from 'zod';
import { holidaysOf } from '@/bring-in/holidays';
import { FIRST_YEAR, LAST_YEAR } from '@/core/dates';
import { route } from '@/server/respond';
import { unclear } from '@/server/problems';

const Asked = z.object({
  region: z.string().min(2).max(8),
  year: z.coerce.number().int().min(FIRST_YEAR).max(LAST_YEAR),
  language: z.string().min(2).max(20),
});

/** Public holidays of a country or region in a year. */
export const GET = route((request: Request) => {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw unclear.holidays();
  const { region, year, language } = asked.data;
  return Promise.resolve({ holidays: holidaysOf(region.toUpperCase(), year, language) });
});
