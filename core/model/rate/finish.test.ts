import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { type Course, finishOf, type TimedReading } from './index.ts';

const exact = (hours: number, value: number): TimedReading => ({ hours, hoursSd: 0, low: value, high: value });
const noise = [0.6, -1.1, 0.3, 1.4, -0.4, -0.9, 0.8, 0.1, -1.3, 0.5];

/** True curves and when they are done. */
const curves: Readonly<Record<Course, { at: (t: number) => number; done: number; goal: number }>> = {
  steady: { at: (t) => 400 - 50 * t, done: 6, goal: 100 },
  decay: { at: (t) => 80 * Math.exp(-0.3 * t), done: Math.log(50) / 0.3, goal: 0 },
  dissolving: { at: (t) => 20 * Math.max(0, 1 - t / 9) ** 3, done: 9, goal: 0 },
  levelling: { at: (t) => 60 + 30 * Math.exp(-0.4 * t), done: -Math.log(0.02) / 0.4, goal: 0 },
};

describe('finishing time', () => {
  it.each(Object.keys(curves) as Course[])('of a %s course lies within its band, and near', (course) => {
    const { at, done, goal } = curves[course];
    const sd = 0.005 * at(0);
    const readings = [0, 1, 2, 3, 4].map((t, i) => exact(t, at(t) + sd * noise[i]!));
    const finish = finishOf(course, readings, sd, goal);
    expect(finish.hours).not.toBeNull();
    expect(finish.earliest!).toBeLessThanOrEqual(done * 1.02);
    expect(finish.latest!).toBeGreaterThanOrEqual(done * 0.98);
    // Where another law fits as well, the likeliest time is no nearer than the laws are to each other.
    expect(Math.abs(finish.hours! / done - 1)).toBeLessThan(course === 'decay' || course === 'dissolving' ? 0.4 : 0.12);
  });

  it('finds the mass at which drying ends', () => {
    const { at } = curves.levelling;
    const finish = finishOf(
      'levelling',
      [0, 2, 4, 6, 8].map((t, i) => exact(t, at(t) + 0.05 * noise[i]!)),
      0.05,
      0,
    );
    expect(finish.endsAt!.value).toBeGreaterThan(59.3);
    expect(finish.endsAt!.value).toBeLessThan(60.7);
    expect(finish.endsAt!.low).toBeLessThanOrEqual(60);
    expect(finish.endsAt!.high).toBeGreaterThanOrEqual(60);
  });

  it('narrows with every reading', () => {
    const { at, goal } = curves.dissolving;
    const width = (n: number) => {
      const times = Array.from({ length: n }, (_, i) => i);
      const { earliest, latest } = finishOf(
        'dissolving',
        times.map((t, i) => exact(t, at(t) + 0.3 * noise[i]!)),
        0.3,
        goal,
      );
      return latest! - earliest!;
    };
    expect(width(6)).toBeLessThan(width(3));
  });

  it('uses one-sided and coarse readings for what they are worth', () => {
    const { at, done, goal } = curves.dissolving;
    const coarse: TimedReading[] = [
      exact(0, 20),
      { hours: 3, hoursSd: 0, low: at(3) - 2, high: at(3) + 2 },
      { hours: 6, hoursSd: 0, low: null, high: 2 },
    ];
    const finish = finishOf('dissolving', coarse, 0.2, goal);
    expect(finish.earliest!).toBeLessThan(done);
    expect(finish.latest!).toBeGreaterThan(done);
    // “Still some left at 8 h” can only move the end later.
    const still = finishOf('dissolving', [...coarse, { hours: 8, hoursSd: 0, low: 0.001, high: null }], 0.0002, goal);
    expect(still.hours!).toBeGreaterThan(finish.hours!);
    // It may also be a residue that does not go: that it ended before is then not ruled out.
    expect(still.latest!).toBeGreaterThan(8);
  });

  it('takes a uncertain time as uncertainty, and says when it cannot tell', () => {
    const sharp = finishOf('steady', [exact(0, 400), exact(2, 300)], 4, 100);
    const late = finishOf('steady', [exact(0, 400), { hours: 2, hoursSd: 0.4, low: 300, high: 300 }], 4, 100);
    expect(late.latest! - late.earliest!).toBeGreaterThan(2 * (sharp.latest! - sharp.earliest!));
    expect(finishOf('decay', [exact(0, 50), exact(1, 50.2)], 0.5, 0)).toMatchObject({ hours: null });
    expect(finishOf('decay', [exact(0, 50), exact(1, 50.2)], 0.5, 0).cannotTell).toContain('cannot tell');
    expect(finishOf('decay', [exact(0, 50)], 0.5, 0).cannotTell).toContain('One more reading');
    expect(finishOf('decay', [exact(1, 50), exact(1, 49)], 0.5, 0).cannotTell).toContain('one moment');
  });

  it('does not choose between laws that fit as well: nearly straight, it may end in a day or in four', () => {
    const left = [exact(0, 12.1), exact(24, 8.0), exact(48, 4.2), exact(59, 2.9)];
    const { earliest, latest, cannotTell } = finishOf('dissolving', left, 0.05, 0);
    // 0.15 g an hour meets nothing 19 h after the last; as grains shrink it takes two days more and longer.
    expect(earliest ?? 0).toBeLessThan(59 + 26);
    expect(cannotTell !== '' || latest! > 59 + 60).toBe(true);
  });

  it('never answers with what is not a number', () => {
    const reading = fc.record({
      hours: fc.double({ min: 0, max: 100, noNaN: true }),
      hoursSd: fc.constantFrom(0, 1),
      low: fc.option(fc.double({ min: 0, max: 100, noNaN: true })),
      high: fc.option(fc.double({ min: 0, max: 100, noNaN: true })),
    });
    fc.assert(
      fc.property(
        fc.constantFrom<Course>('steady', 'decay', 'dissolving'),
        fc.array(reading, { maxLength: 5 }),
        (course, readings) => {
          const { hours, earliest, latest, cannotTell } = finishOf(course, readings, 0.5, 1);
          for (const each of [hours, earliest, latest]) expect(each === null || Number.isFinite(each)).toBe(true);
          expect(hours === null).toBe(cannotTell !== '');
        },
      ),
      { numRuns: times(60) },
    );
  });
});
