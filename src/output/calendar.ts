import ICAL from 'ical.js';
import { instantOf, writeDay, type Day } from '../core/dates';
import type { Job } from '../core/job';
import { STEP_TITLES, type Plan } from '../core/schedule';
import { CannotExport } from './cannot-export';
import type { OutputFile } from './file';
import { planAt } from './plan-at';

/** The schedule of a job as a calendar (RFC 5545): a day or days for each step that is not done, and the due date. */
export function calendarFile(job: Job, at: Date): OutputFile {
  if (job.due === null) throw new CannotExport('No due date is set. Set one under Brief.');
  const plan = planAt(job, at);
  if (!plan) throw new CannotExport('A template has no due date.');
  return { name: 'schedule.ics', type: 'text/calendar', bytes: new TextEncoder().encode(calendarOf(job, plan, at)) };
}

/** @returns lines ended by CR LF, none longer than 75 octets */
function calendarOf(job: Job, plan: Plan, at: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//Yellow Sheet//Schedule//EN');
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  const house = job.house.name;
  for (const { id, from, to, why, state } of plan.steps) {
    if (state === 'done') continue;
    const words = [why, house].filter((part) => part !== '').join(' · ');
    calendar.addSubcomponent(event(job, at, { id, from, to, title: STEP_TITLES[id], words }));
  }
  const late = plan.late > 0 ? `Delivered ${writeDay(plan.delivered)}, ${plan.late} working days late` : '';
  calendar.addSubcomponent(event(job, at, { id: 'due', from: plan.due, to: plan.due, title: 'Due', words: late }));
  return `${calendar.toString()}\r\n`;
}

interface Happening {
  readonly id: string;
  readonly from: Day;
  readonly to: Day;
  readonly title: string;
  readonly words: string;
}

/** Whole days; the end is the day after the last of them (RFC 5545, 3.6.1). */
function event(job: Job, at: Date, { id, from, to, title, words }: Happening): ICAL.Component {
  const made = new ICAL.Component('vevent');
  made.updatePropertyWithValue('uid', `${job.id}-${id}@yellow-sheet`);
  made.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(at, true));
  made.updatePropertyWithValue('dtstart', dayTime(from));
  made.updatePropertyWithValue('dtend', dayTime(to + 1));
  made.updatePropertyWithValue('summary', `${title}: ${job.name}`);
  if (words !== '') made.updatePropertyWithValue('description', words);
  // Nobody is busy by it: meetings can still be made on that day.
  made.updatePropertyWithValue('transp', 'TRANSPARENT');
  return made;
}

const dayTime = (day: Day): ICAL.Time => ICAL.Time.fromDateString(instantOf(day).toISOString().slice(0, 10));
