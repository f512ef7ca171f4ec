import Holidays from 'date-holidays';
import { FIRST_YEAR, LAST_YEAR, readDay, type Occasion } from '../../core/dates';

/** Holidays of the countries and regions that the package knows (data CC BY 3.0, from its authors and Wikipedia). */

const COUNTRY = /^[A-Z]{2}(-[A-Z0-9]{1,4})?$/;

/** Whether there are holidays for a country such as GB, or a region of one such as GB-SCT. */
export function isRegion(region: string): boolean {
  if (!COUNTRY.test(region)) return false;
  const [country = '', state] = region.split('-');
  const all = new Holidays();
  if (!Object.hasOwn(all.getCountries(), country)) return false;
  return state === undefined || Object.hasOwn(all.getStates(country), state);
}

/** Public holidays of a year, in the language where the package has it. */
export function holidaysOf(region: string, year: number, language: string): readonly Occasion[] {
  if (year < FIRST_YEAR || year > LAST_YEAR || !isRegion(region)) return [];
  const [country = '', state] = region.split('-');
  const options = {
    languages: [language, language.split('-')[0] ?? language],
    types: ['public' as const, 'bank' as const],
  };
  const found = state === undefined ? new Holidays(country, options) : new Holidays(country, state, options);
  return found.getHolidays(year).flatMap(({ date, name }) => {
    const day = readDay(date.slice(0, 10));
    return day === undefined ? [] : [{ day, name }];
  });
}

/** Countries by their codes, in English. */
export const countries = (): Readonly<Record<string, string>> => new Holidays().getCountries('en');
