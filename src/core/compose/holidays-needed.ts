import { elementsOf, type Job } from '../job';
import { printableOf } from '../printable';

/** Holidays of a region and a year, as a language names them. */
export interface HolidayNeed {
  readonly region: string;
  readonly year: number;
  readonly language: string;
}

export const holidayKey = ({ region, year, language }: HolidayNeed): string => `${region} ${year} ${language}`;

/** The holidays that the calendars of a job ask for. */
export function holidaysNeeded(job: Job): readonly HolidayNeed[] {
  const needs = new Map<string, HolidayNeed>();
  for (const { element } of job.pieces.flatMap((piece) => elementsOf(piece))) {
    if (element.kind !== 'printable') continue;
    const language = element.language ?? job.language;
    for (const { region, years } of printableOf(element.content.of).regions(element.content))
      for (const year of years) needs.set(holidayKey({ region, year, language }), { region, year, language });
  }
  return [...needs.values()];
}
