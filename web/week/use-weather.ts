import type { Stretch } from '#base/time';
import { type Hours, USUAL_HOURS } from '#matter/gear';
import { useBench, useSaveBench } from '../api/queries.ts';

/** What is said of the weather of a day. */
export interface SetWeather {
  readonly rain: (day: string, wet: boolean) => void;
  /** °C outdoors, least and most; null takes it back. */
  readonly air: (day: string, airC: Stretch | null) => void;
}

export function useWeather(): SetWeather {
  const bench = useBench();
  const save = useSaveBench();
  const change = (of: (hours: Hours) => Partial<Hours>) => {
    if (!bench.data) return;
    const { hours = USUAL_HOURS } = bench.data.bench;
    save.mutate({
      basedOn: bench.data.version,
      bench: { ...bench.data.bench, hours: { ...hours, ...of(hours) } },
    });
  };
  return {
    rain: (day, wet) =>
      change((hours) => ({ wet: wet ? [...hours.wet, day].sort() : hours.wet.filter((each) => each !== day) })),
    air: (day, airC) =>
      change(({ air = [] }) => {
        const others = air.filter((each) => each.day !== day);
        return { air: airC ? [...others, { day, airC }] : others };
      }),
  };
}
