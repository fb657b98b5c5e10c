const HOUR = 3_600_000;

/** Hours at which somebody with a job and a shed is in it: of an evening, and at weekends. */
function openHours(day: Date): readonly [number, number] {
  const weekend = day.getDay() === 0 || day.getDay() === 6;
  return weekend ? [9.5, 20] : [17.75, 22];
}

/** The instant itself (ms) where somebody would be at the bench then; else the next one at which they are. */
export function whenFree(at: number): number {
  const day = new Date(at);
  day.setHours(0, 0, 0, 0);
  const [opens, closes] = openHours(day);
  const hour = (at - day.getTime()) / HOUR;
  if (hour < opens) return day.getTime() + opens * HOUR + (at % (20 * 60_000));
  if (hour < closes) return at;
  return whenFree(new Date(day.getFullYear(), day.getMonth(), day.getDate() + 1).getTime() + (at % HOUR) / 60);
}
