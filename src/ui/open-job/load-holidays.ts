import type { HolidayNeed } from '@/core/compose';
import type { Occasion } from '@/core/dates';

/** Holidays of a year as the server knows them. */
export async function loadHolidays({ region, year, language }: HolidayNeed): Promise<readonly Occasion[]> {
  const asked = new URLSearchParams({ region, year: String(year), language });
  const response = await fetch(`/api/holidays?${asked.toString()}`);
  if (!response.ok) throw new Error('The holidays could not be loaded.');
  return ((await response.json()) as { holidays: readonly Occasion[] }).holidays;
}
