import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import type { EventBody } from '#run/log';
import { type RunState, runState, type StepState } from '#run/state';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const plain = ({ title }: StepState) => title.map((part) => (part.is === 'text' ? part.text : part.shown)).join('');

const labels = { acid: 'vinegar 5 % 5 L', carbonate: 'copper carbonate 96 % 500 g' };
const acetate = on('copper-acetate', '12 g copper acetate', labels);
const lineOf = (role: string, { sheet }: RunState = acetate.run()) =>
  sheet.additions.find((each) => each.role === role)!;
const acidG = lineOf('acid').dose.mass.value;
const carbonateG = lineOf('carbonate').dose.mass.value;

describe('a batch enlarged when all is in', () => {
  const bodies: EventBody[] = [
    acetate.added('acid', 'acid', Number(acidG.toFixed(1))),
    ...done('acid'),
    acetate.added('carbonate', 'carbonate', Number(carbonateG.toFixed(2))),
    ...done('carbonate'),
    { kind: 'enlarged', factor: 2, why: '' } as EventBody,
  ];

  it('says what is still to add of each, as remainders', () => {
    const run = acetate.run(...bodies);
    const [acid, carbonate] = run.remainders;
    expect(acid!.mass.value).toBeCloseTo(acidG, 0);
    expect(carbonate!.mass.value).toBeCloseTo(carbonateG, 1);
    expect(acid!.volumeMl).toBeGreaterThan(100);
    // Half of what is wanted of one of them: half of it is still to come.
    const half = acetate.run(...bodies, acetate.added('acid', 'acid', acidG / 2));
    expect(half.remainders[0]!.mass.value).toBeCloseTo(acidG / 2, 0);
    const all = acetate.run(
      ...bodies,
      acetate.added('acid', 'acid', acidG),
      acetate.added('carbonate', 'carbonate', carbonateG),
    );
    expect(all.remainders).toEqual([]);
  });

  it('leaves the steps that are over with the titles they were done with', () => {
    const before = acetate
      .run(...bodies.slice(0, -1))
      .steps.slice(0, 2)
      .map(plain);
    expect(
      acetate
        .run(...bodies)
        .steps.slice(0, 2)
        .map(plain),
    ).toEqual(before);
  });

  it('has nothing to add in a batch that was not', () =>
    expect(acetate.run(...bodies.slice(0, -1)).remainders).toEqual([]));
});

describe('more than was asked for', () => {
  it('of what is meant to be over asks for no more of the rest', () => {
    const run = acetate.run(acetate.added('acid', 'acid', acidG * 1.4), ...done('acid'));
    expect(lineOf('carbonate', run).dose.mass.value).toBeCloseTo(carbonateG, 2);
    const less = acetate.run(acetate.added('acid', 'acid', acidG * 0.7), ...done('acid'));
    expect(lineOf('carbonate', less).dose.mass.value).toBeCloseTo(0.7 * carbonateG, 2);
  });

  it('never asks for more of a reagent than “from 10 g” of it', () => {
    const { plan } = acetate;
    const target = { ...plan.target, amount: { value: 10, unit: 'g' as const }, fromRole: 'carbonate' };
    const capped = { ...plan, target, controls: { ...plan.controls, 'acid-excess': 0 } };
    const run = unwrap(runState(capped, eventsAt(START, acetate.added('acid', 'acid', 900), ...done('acid'))));
    expect(lineOf('carbonate', run).dose.mass.value).toBeCloseTo(10, 6);
  });
});
