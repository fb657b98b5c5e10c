import { derive, type Figure, given } from '#base/figure';
import { type Reading, readingText, readingValue } from '#base/reading';
import { at, type Contents, contentsMass, slurryVolume } from '#matter/vessel';
import { opOf } from '#run/plan';
import type { GoneThrough } from '#run/sheet';
import { placeOf } from '#run/technique';

/** A test portion: what was taken, whether it went back, and its result for the whole batch. */
export interface PortionState {
  readonly eventId: string;
  readonly step: string;
  readonly taken: string;
  readonly purpose: string;
  readonly returned: boolean;
  /** The result, scaled to what is in the vessel; null while it is not tested. */
  readonly forBatch: Figure | null;
  readonly says: string;
}

/** Test portions with their results scaled from the portion to the batch, by volume or by mass. */
export function portionsOf({ live, done, steps }: GoneThrough): readonly PortionState[] {
  // It was taken out of what stood there then, not of what stands there now.
  const vesselAt = (key: string): Contents | undefined => {
    const step = steps.find((each) => each.key === key);
    const vessels = done?.outcomes.get(key)?.vessels;
    return step && vessels && at(vessels, placeOf(opOf(step)));
  };
  return live.flatMap(({ id, body }) => {
    if (body.kind !== 'portion-taken') return [];
    const tested = live.find((each) => each.body.kind === 'portion-tested' && each.body.portion === id)?.body;
    return [
      {
        eventId: id,
        step: body.step,
        taken: readingText(body.reading),
        purpose: body.purpose,
        returned: body.returned,
        forBatch: tested?.kind === 'portion-tested' ? scaled(body.reading, tested.reading, vesselAt(body.step)) : null,
        says: tested?.kind === 'portion-tested' ? tested.says : '',
      },
    ];
  });
}

function scaled(portion: Reading, result: Reading, contents: Contents | undefined): Figure | null {
  const part = readingValue(portion);
  const found = readingValue(result);
  const whole = contents && (part?.unit === 'mL' ? slurryVolume(contents) : contentsMass(contents));
  if (!part || !found || !whole || !(part.value > 0)) return null;
  const figure = (symbol: string, name: string, unit: string, value: number, sd: number, id: string): Figure =>
    given({ symbol, name, unit }, { value, uncertainty: sd > 0 ? { [id]: { name, effect: sd } } : {} }, 'at the bench');
  const a = figure('a', 'what the portion took', found.unit, found.value, found.sd, 'portion:result');
  const p = figure(
    'p',
    'the portion',
    part.unit,
    part.value,
    Math.max(part.sd, part.unit === 'mL' ? 0.02 * part.value : 0.01),
    'portion:size',
  );
  const w = figure('W', 'what is in the vessel', part.unit, whole, 0.03 * whole, 'portion:whole');
  return derive(
    { symbol: 'A', name: 'for the whole batch', unit: found.unit },
    'a × W ÷ p',
    { a, W: w, p },
    (x) => (x.a * x.W) / x.p,
  );
}
