import dayjs, { type Dayjs } from 'dayjs';
import suncalc from 'suncalc';
import { joined, type Stretch, without } from '#base/time';
import type { Hours } from '#matter/gear';

/** A person’s hours laid out from a day on, minutes from its beginning by the clock of this machine. */
export interface LaidOut {
  /** ISO instant of the beginning. */
  readonly from: string;
  readonly free: readonly Stretch[];
  readonly home: readonly Stretch[];
  readonly light: readonly Stretch[];
  /** False where no place is given: then the light is taken as {@link LIGHT_ASSUMED}. */
  readonly lightKnown: boolean;
  /** Days of which it was said how cold and how warm they are outdoors, °C. */
  readonly air: readonly { readonly stretch: Stretch; readonly airC: Stretch }[];
}

/** h of the clock taken as light where nobody has said where the bench is. */
export const LIGHT_ASSUMED: readonly [number, number] = [8, 16];
const MINUTE_MS = 60_000;

/** The hours of so many days from the day of an instant on; nothing of them lies before the instant itself. */
export function hoursFrom(hours: Hours, now: number, days: number): LaidOut {
  const start = dayjs(now).startOf('day');
  const at = (when: Dayjs | number) => (when.valueOf() - start.valueOf()) / MINUTE_MS;
  const all = Array.from({ length: days }, (_, i) => start.add(i, 'day'));
  // By the clock on the wall: a day on which it is put forward is shorter.
  const clock = (day: Dayjs, h: number) =>
    at(
      day
        .add(h >= 24 ? 1 : 0, 'day')
        .hour(h >= 24 ? 0 : Math.floor(h))
        .minute(Math.round((h % 1) * 60)),
    );
  const spans = (day: Dayjs, { from, to }: Hours['sleep']): readonly Stretch[] =>
    from <= to
      ? [[clock(day, from), clock(day, to)]]
      : [
          [clock(day, 0), clock(day, to)],
          [clock(day, from), clock(day, 24)],
        ];
  const past: Stretch = [0, at(now)];
  const away: readonly Stretch[] = [
    past,
    ...hours.away.map(({ from, to }): Stretch => [at(Date.parse(from)), at(Date.parse(to))]),
  ];
  const whole: Stretch = [0, clock(all.at(-1) ?? start, 24)];
  const open = (stretches: readonly Stretch[]) => without(joined(stretches.filter(([from, to]) => to > from)), away);
  const wet = new Set(hours.wet);
  return {
    from: start.toISOString(),
    free: open(
      all.flatMap((day) =>
        (hours.week[(day.day() + 6) % 7] ?? []).map(([from, to]): Stretch => [clock(day, from), clock(day, to)]),
      ),
    ),
    home: without(open([whole]), joined(all.flatMap((day) => spans(day, hours.sleep)))),
    light: all
      .filter((day) => !wet.has(day.format('YYYY-MM-DD')))
      .flatMap((day) => lightOn(day, hours.where).map(([from, to]): Stretch => [Math.max(0, at(from)), at(to)]))
      .filter(([from, to]) => to > from),
    lightKnown: hours.where !== null,
    air: all.flatMap((day) => {
      const said = hours.air?.find((each) => each.day === day.format('YYYY-MM-DD'));
      return said ? [{ stretch: [clock(day, 0), clock(day, 24)] as const, airC: said.airC }] : [];
    }),
  };
}

/** From sunrise to sunset on a day, ms; nothing in a polar night, all of it in a polar day. SunCalc, within about two minutes. */
export function lightOn(day: Dayjs, where: Hours['where']): readonly (readonly [number, number])[] {
  if (where === null) return [[day.hour(LIGHT_ASSUMED[0]).valueOf(), day.hour(LIGHT_ASSUMED[1]).valueOf()]];
  const noon = day.hour(12).toDate();
  const { sunrise, sunset, solarNoon } = suncalc.getTimes(noon, where.lat, where.lon);
  if (Number.isNaN(sunrise.valueOf()) || Number.isNaN(sunset.valueOf())) {
    const up = suncalc.getPosition(solarNoon, where.lat, where.lon).altitude > 0;
    return up ? [[day.valueOf(), day.add(1, 'day').valueOf()]] : [];
  }
  return [[sunrise.valueOf(), sunset.valueOf()]];
}
