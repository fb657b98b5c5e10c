import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading, type Quantity, quantities, readingProblem } from '#base/reading';
import { portionProblem, runState } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';

describe('a reading', () => {
  it.each((Object.keys(quantities) as Quantity[]).filter((each) => quantities[each].range[0] === 0))(
    'of %s is not below zero, exact, as a band or one-sided',
    (quantity) => {
      expect(readingProblem(quantity, exactReading(-1, 'g'))).toContain('below zero');
      expect(readingProblem(quantity, { is: 'band', low: -1, high: 2, unit: 'g' })).toContain('below zero');
      expect(readingProblem(quantity, { is: 'over', value: -1, unit: 'g' })).toContain('below zero');
      expect(readingProblem(quantity, exactReading(0, 'g'))).toBe('');
      expect(readingProblem(quantity, { is: 'word', text: 'still some' })).toBe('');
    },
  );

  it('of temperature or pH may be', () => {
    expect(readingProblem('temperature', exactReading(-12, '°C'))).toBe('');
    expect(readingProblem('pH', exactReading(-0.5, ''))).toBe('');
  });

  it.each([
    ['temperature', exactReading(-300, '°C'), /between -90 and 2000 °C/],
    ['pH', exactReading(-300, ''), /between -2 and 16/],
    ['pH', { is: 'band', low: 13, high: 40, unit: '' }, /between -2 and 16/],
    ['strength', exactReading(101, '%'), /between 0 and 100 %/],
    ['density', exactReading(1030, 'g/mL'), /between 0 and 25/],
  ] as const)('of %s that cannot be is refused with what can', (quantity, reading, says) => {
    expect(readingProblem(quantity, reading)).toMatch(says);
  });
});

describe('a test portion', () => {
  const plan = planFor('60 g zinc sulfate');
  const { now } = unwrap(
    runState(
      plan,
      eventsAt('2026-03-14T08:00:00.000Z', {
        kind: 'added',
        step: 'water',
        role: 'water',
        bottleId: null,
        reading: exactReading(100, 'mL'),
        reason: '',
      }),
    ),
  ).sheet;

  it.each([
    [exactReading(5, 'mL'), ''],
    [exactReading(99, 'g'), ''],
    [exactReading(1e9, 'g'), 'is in the vessel'],
    [exactReading(150, 'mL'), 'is in the vessel'],
    [exactReading(0, 'g'), 'more than 0'],
    [exactReading(-2, 'g'), 'more than 0'],
    [{ is: 'word', text: 'lots' } as const, 'How much'],
    [{ is: 'over', value: 3, unit: 'g' } as const, 'How much'],
  ])('of %j from 100 mL: “%s”', (reading, said) => {
    expect(portionProblem(reading, now)).toContain(said);
    if (said === '') expect(portionProblem(reading, now)).toBe('');
  });

  it('is not judged while nothing is known of the vessel', () => {
    expect(portionProblem(exactReading(1e9, 'g'), null)).toBe('');
  });
});
