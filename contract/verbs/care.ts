import { day, fields, list, note, nullable, number, optional, text } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { presentShape } from '#matter/guard';
import { shelfShape, shelvedShape } from '#matter/stock';
import { bottleLabel, careOfRun, placesOf } from '#run/care';
import { runEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

const care = verb({
  name: 'care',
  input: fields({
    plan: planShape,
    events: list(runEventShape, 20_000),
    shelf: shelfShape,
    /** Vessels that were used, and what each held last, the last use first. */
    before: optional(
      list(fields({ vessel: text(60), number: number({ min: 1, whole: true }), present: list(presentShape, 20) }), 500),
    ),
  }),
  run: careOfRun,
  example: null,
});

const bottleLabelVerb = verb({
  name: 'bottleLabel',
  input: fields({
    bottle: shelvedShape,
    tempC: number({ min: 0, max: 45 }),
    day: day(),
    batchNumber: nullable(number({ min: 1, whole: true })),
  }),
  run: ({ bottle, ...setting }) => bottleLabel({ ...bottle, archived: false }, setting),
  example: { bottle: { id: 'b1', usedG: 0, card: exampleCard }, tempC: 16, day: '2026-03-14', batchNumber: null },
});

const places = verb({
  name: 'places',
  input: fields({
    shelf: shelfShape,
    away: list(fields({ id: text(120), place: note(60) }), 100),
    bench: benchShape,
    day: day(),
  }),
  run: (input) => ({ ok: true, value: placesOf(input) }),
  example: {
    shelf: [{ id: 'b1', usedG: 0, archived: false, card: { ...exampleCard, place: 'shelf 1' } }],
    away: [{ id: 'away:petrol', place: 'shelf 1' }],
    bench: BenchDefaults,
    day: '2026-03-14',
  },
});

/** What belongs to care. */
export const careVerbs = { care, bottleLabel: bottleLabelVerb, places } as const;
