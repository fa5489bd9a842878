/** "07:30", "7:30" or "0730" as minutes after midnight; 24:00 is the end of the day; null while it is not a time. */
export function minutesOf(text: string): number | null {
  const match = /^(?<hours>\d{1,2}):?(?<minutes>\d{2})$/.exec(text.trim());
  const hours = Number(match?.groups?.hours);
  const minutes = Number(match?.groups?.minutes);
  if (!match || minutes > 59 || hours * 60 + minutes > 1440) return null;
  return hours * 60 + minutes;
}

export const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
