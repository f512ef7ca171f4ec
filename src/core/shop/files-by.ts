/**
 * The last day on which files can go to a printer: so many working days before the due date, weekends left out
 * (holidays are the house’s to say).
 * @param due ISO date
 */
export function filesBy(due: string, workingDays: number): string {
  const day = new Date(`${due}T00:00:00Z`);
  let left = workingDays;
  while (left > 0) {
    day.setUTCDate(day.getUTCDate() - 1);
    if (day.getUTCDay() !== 0 && day.getUTCDay() !== 6) left -= 1;
  }
  return day.toISOString().slice(0, 10);
}
