const pad = (part: number) => String(part).padStart(2, '0');

/** The day of a moment in the zone of the machine that says it, YYYY-MM-DD: the bench's own, where the server does. */
export function dayOf(moment: Date): string {
  return `${moment.getFullYear()}-${pad(moment.getMonth() + 1)}-${pad(moment.getDate())}`;
}

/** The same with hours and minutes. */
export function momentOf(moment: Date): string {
  return `${dayOf(moment)} ${pad(moment.getHours())}:${pad(moment.getMinutes())}`;
}
