const pad = (part: number) => String(part).padStart(2, '0');

/** Returns the day of a time in the local time zone, YYYY-MM-DD: the server's, when the server calls it. */
export function dayOf(moment: Date): string {
  return `${moment.getFullYear()}-${pad(moment.getMonth() + 1)}-${pad(moment.getDate())}`;
}

/** The same with hours and minutes. */
export function momentOf(moment: Date): string {
  return `${dayOf(moment)} ${hourOf(moment)}`;
}

/** Hours and minutes of a moment. */
export function hourOf(moment: Date): string {
  return `${pad(moment.getHours())}:${pad(moment.getMinutes())}`;
}
