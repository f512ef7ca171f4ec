const DAY = 86_400_000;

/** `due Fri 11 Dec · 16 days`, or that no day is set. */
export function dueWords(due: string | null, today = new Date()): string {
  if (!due) return 'no due date';
  const date = new Date(`${due}T00:00:00`);
  const days = Math.round(
    (date.getTime() - new Date(today.getFullYear(), today.getMonth(), today.getDate()).getTime()) / DAY,
  );
  const day = date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
  const left = days === 0 ? 'today' : days === 1 ? 'tomorrow' : days < 0 ? `${-days} d late` : `${days} d`;
  return `due ${day} · ${left}`;
}
