import { derive, type Figure, given } from '#core/figure';
import { type Reading, type RunEvent, readingText, readingValue } from './event.ts';
import type { Sheet } from './sheet.ts';

/** A test portion: what was taken, whether it went back, and what it told for the whole batch. */
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
export function portionsOf(events: readonly RunEvent[], sheet: Sheet): readonly PortionState[] {
  return events.flatMap(({ id, body }) => {
    if (body.kind !== 'withdrawn') return [];
    const tested = events.find((each) => each.body.kind === 'portion-tested' && each.body.portion === id)?.body;
    return [
      {
        eventId: id,
        step: body.step,
        taken: readingText(body.reading),
        purpose: body.purpose,
        returned: body.returned,
        forBatch: tested?.kind === 'portion-tested' ? scaled(body.reading, tested.reading, sheet) : null,
        says: tested?.kind === 'portion-tested' ? tested.says : '',
      },
    ];
  });
}

function scaled(portion: Reading, result: Reading, sheet: Sheet): Figure | null {
  const part = readingValue(portion);
  const found = readingValue(result);
  const whole = part?.unit === 'mL' ? sheet.now?.volumeMl : sheet.now?.massG;
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
