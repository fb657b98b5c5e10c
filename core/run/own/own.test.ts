import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { reactionText } from '#matter/reaction';
import { describedId } from '#matter/substance';
import { massOverAll } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { whereItWent } from '#run/outcome';
import { planTitle } from '#run/plan';
import { catalogue, type Route, routeProblems, stepKinds } from '#run/route';
import { sheetOf } from '#run/sheet';
import { insertRefused, runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { times } from '#testing/property';
import { eventsAt } from '#testing/shelf';
import {
  admitRoute,
  changeRole,
  moveStep,
  type OwnDraft,
  ownFrom,
  putStep,
  readEquation,
  removeStep,
  typedEquation,
} from './index.ts';

const LABELS = {
  zinc: 'zinc 99 % 900 g 14.00',
  acid: 'sulfuric acid 37 % 1 L 7.90',
  ammonia: 'ammonia 9.5 % 2 L 4.00',
  soda: 'washing soda crystals 100 % 1 kg 2.10',
  vinegar: 'vinegar 8 % 5 L 5.50',
  chalk: 'calcium carbonate 96 % 500 g 3.00',
  brick: 'hydrochloric acid 28 % 5 L 11.50',
  epsom: 'magnesium sulfate heptahydrate 99 % 2 kg 6.00',
  copper: 'copper sulfate pentahydrate 99 % 500 g 9.00',
} as const;

const shelf = Object.entries(LABELS).map(([id, label]) => ({
  id: `bottle_${id}`,
  card: parseLabel(label, '2026-01-01', 20).card!,
  usedG: 0,
  archived: false,
}));

const draft = (of: Partial<OwnDraft>): OwnDraft => ({
  text: '',
  formula: '',
  gPer100gWater: null,
  bottles: [],
  equations: [],
  mine: null,
  controls: {},
  shelf,
  bench: BenchDefaults,
  today: '2026-01-01',
  ...of,
});

const planOf = (of: Partial<OwnDraft>) => {
  const answer = ownFrom(draft(of));
  if (!answer.plan) throw new Error(JSON.stringify(answer.problems));
  return answer.plan;
};

const AMMONIUM_ZINC = {
  text: '40 g ammonium zinc sulfate',
  bottles: ['bottle_zinc', 'bottle_acid', 'bottle_ammonia'],
  equations: ['Zn + H2SO4 + NH3 -> (NH4)2Zn(SO4)2.6H2O + H2'],
};

describe('an equation', () => {
  it.each([
    ['Zn + H2SO4 -> ZnSO4 + H2', 'Zn + H2SO4 -> ZnSO4 + H2'],
    // Water that lacks, gas and salt that nobody wrote.
    ['Na2CO3 + CH3COOH -> CH3COONa', 'Na2CO3 + 2 CH3COOH -> 2 CH3COONa + H2O + CO2'],
    ['CuSO4.5H2O + Na2CO3 -> Cu2CO3(OH)2', '2 CuSO4 + 2 Na2CO3 + H2O -> Cu2CO3(OH)2 + CO2 + 2 Na2SO4'],
    ['calcium carbonate + hydrochloric acid -> calcium chloride', 'CaCO3 + 2 HCl -> CaCl2 + H2O + CO2'],
    ['2Al + 6HCl = 2AlCl3 + 3H2', '2 Al + 6 HCl -> 2 AlCl3 + 3 H2'],
    ['zn + h2so4 -> znso4 + h2', 'Zn + H2SO4 -> ZnSO4 + H2'],
    ['K2CO3 + Ca(OH)2 -> KOH', 'K2CO3 + Ca(OH)2 -> 2 KOH + CaCO3'],
    ['KMnO4+HCl->KCl+MnCl2+Cl2+H2O', '2 KMnO4 + 16 HCl -> 2 KCl + 2 MnCl2 + 5 Cl2 + 8 H2O'],
  ])('%s is %s', (typed, balanced) => {
    expect(typedEquation(unwrap(readEquation(typed, 'e')).reaction)).toBe(balanced);
  });

  it.each([
    ['Zn + H2SO4', 'two sides'],
    ['-> H2', 'two sides'],
    ['Zn + Xx -> ZnXx', 'Xx'],
    ['Zn + H2SO4 -> CuSO4', 'one side only'],
    ['Zn2+ + SO4^2- -> ZnSO4', 'ion'],
    ['snow + rain -> slush', 'neither a formula nor a name'],
  ])('%s is refused with a sentence that says why', (typed, says) => {
    const read = readEquation(typed, 'e');
    expect(read.ok ? '' : read.problem.message).toContain(says);
  });
});

describe('a batch of one’s own', () => {
  it('doses by the equation: 40 g of a double salt that no record holds, worked by hand', () => {
    const sheet = unwrap(sheetOf(planOf(AMMONIUM_ZINC)));
    // M = 401.68; 95 % caught, and half a gram in paper and vessel: (40 / 0.95 + 0.5) / 401.68 = 0.1061 mol.
    const n = (40 / 0.95 + 0.5) / 401.68;
    const taken = (role: string) => sheet.additions.find((line) => line.role === role)!.dose.mass.value;
    expect(taken('zinc')).toBeCloseTo((n * 65.38) / 0.99, 1);
    expect(taken('sulfuric-acid')).toBeCloseTo((2 * n * 1.03 * 98.08) / 0.37, 0);
    expect(taken('ammonia')).toBeCloseTo((2 * n * 1.03 * 17.031) / 0.095, 0);
    expect(sheet.theory!.value).toBeCloseTo(n * 401.68, 1);
    expect(sheet.limiting).toBe('zinc');
    expect(sheet.atMost).toBe(true);
    expect(sheet.notKnown.map(({ what }) => what)).toEqual(expect.arrayContaining(['heat', 'solubility']));
    expect(sheet.gases.map(({ id }) => id)).toEqual(['hydrogen']);
  });

  it('takes the formula that is given, else the one that the last equation makes, and asks where neither is there', () => {
    expect(ownFrom(draft({ text: '40 g ammonium zinc sulfate' }))).toMatchObject({
      made: null,
      asksFormulaOf: 'ammonium zinc sulfate',
    });
    const given = ownFrom(draft({ text: '40 g ammonium zinc sulfate', formula: '(NH4)2Zn(SO4)2.6H2O' }));
    expect(given.made).toMatchObject({ name: 'ammonium zinc sulfate', formula: '(NH4)2Zn(SO4)2.6H2O' });
    const odd = ownFrom(draft({ text: '40 g moon dust', formula: 'Qq2' }));
    expect(odd.problems[0]).toMatchObject({ field: 'formula' });
  });

  it('refuses by name what is refused everywhere, and what grows too strong', () => {
    for (const text of ['20 g nitroglycerin', '20 g lead azide'])
      expect(ownFrom(draft({ text, bottles: ['bottle_acid'] })).problems[0]).toMatchObject({ code: 'beyond-scope' });
    const hidden = ownFrom(draft({ text: '20 g plain salt', formula: 'NH4NO3', bottles: ['bottle_ammonia'] }));
    expect(hidden.plan).toBeNull();
  });

  it('says what comes from nowhere, and what no equation makes', () => {
    const lacks = ownFrom(draft({ ...AMMONIUM_ZINC, bottles: ['bottle_zinc', 'bottle_acid'] }));
    expect(lacks.problems[0]!.message).toContain('ammonia comes from nowhere');
    const other = ownFrom(
      draft({ text: '20 g copper carbonate', bottles: ['bottle_zinc'], equations: ['Zn + H2SO4 -> ZnSO4'] }),
    );
    expect(other.problems[0]!.message).toContain('None of the equations makes');
    const none = ownFrom(draft({ text: '20 g zinc acetate', bottles: ['bottle_zinc'] }));
    expect(none.problems[0]!.message).toContain('write what reacts');
  });

  it('makes an intermediate that no bottle brings by the equation that makes it', () => {
    const plan = planOf({
      text: '20 g zinc acetate',
      bottles: ['bottle_zinc', 'bottle_acid', 'bottle_soda', 'bottle_vinegar'],
      equations: ['Zn + H2SO4 -> ZnSO4 + H2', 'ZnSO4 + Na2CO3 -> ZnCO3', 'ZnCO3 + CH3COOH -> Zn(CH3COO)2'],
    });
    const per = Object.fromEntries(
      plan.route.roles.flatMap(({ id, dose }) => (dose.by === 'extent' ? [[id, dose.perExtent]] : [])),
    );
    expect(Object.values(per)).toEqual([1, 1, 1, 2]);
    const sheet = unwrap(sheetOf(plan));
    expect(sheet.product!.value).toBeCloseTo(20, 0);
    expect(sheet.gases.map(({ id }) => id).sort()).toEqual(['carbon-dioxide', 'hydrogen']);
  });

  it('purifies without an equation, and makes up a solution to its strength', () => {
    const purified = unwrap(
      sheetOf(planOf({ text: '50 g magnesium sulfate heptahydrate', bottles: ['bottle_epsom'] })),
    );
    expect(purified.product!.value).toBeCloseTo(50, 0);
    expect(purified.yieldPct!.value).toBeLessThan(80);
    const solution = unwrap(
      sheetOf(
        planOf({
          text: '500 mL of 1 mol/L calcium chloride',
          bottles: ['bottle_chalk', 'bottle_brick'],
          equations: ['CaCO3 + HCl -> CaCl2'],
        }),
      ),
    );
    // 0.5 mol × 100.09 g/mol ÷ 0.96
    expect(solution.additions.find(({ role }) => role === 'calcium-carbonate')!.dose.mass.value).toBeCloseTo(52.1, 1);
    expect(solution.made!.strength.value).toBeCloseTo(1, 1);
  });

  it('counts the crystals that come out of water, and says where they are not what was asked for', () => {
    const of = (text: string) =>
      ownFrom(draft({ text, bottles: ['bottle_zinc', 'bottle_acid'], equations: ['Zn + H2SO4 -> ZnSO4 + H2'] }));
    const plain = of('zinc sulfate from 10 g zinc');
    expect(plain.note).toContain('zinc sulfate heptahydrate');
    const sheet = unwrap(sheetOf(plain.plan!));
    // 10 × 0.99 ÷ 65.38 × 287.54
    expect(sheet.theory!.value).toBeCloseTo(43.5, 0);
    expect(sheet.yieldPct!.value).toBeGreaterThan(40);
    expect(of('20 g zinc sulfate monohydrate').note).toContain('dry it to that afterwards');
    expect(of('20 g zinc sulfate heptahydrate').note).toBe('');
  });

  it('scales from what one has', () => {
    const sheet = unwrap(sheetOf(planOf({ ...AMMONIUM_ZINC, text: 'ammonium zinc sulfate from 10 g zinc' })));
    expect(sheet.additions.find(({ role }) => role === 'zinc')!.dose.take.value).toBeCloseTo(10, 1);
  });

  it('takes two bottles of one thing as one reagent, and each keeps its excess when another is put back', () => {
    const twice = planOf({
      ...AMMONIUM_ZINC,
      bottles: ['bottle_zinc', 'bottle_acid', 'bottle_zinc', 'bottle_ammonia'],
    });
    expect(twice.route.roles.filter(({ accepts }) => accepts.includes('zinc'))).toHaveLength(1);
    const set = { 'over-sodium-carbonate-decahydrate': 40 };
    const equations = ['CuSO4 + Na2CO3 -> Cu2CO3(OH)2'];
    for (const bottles of [
      ['bottle_copper', 'bottle_soda'],
      ['bottle_soda', 'bottle_copper'],
    ])
      expect(planOf({ text: '20 g copper carbonate', bottles, equations, controls: set }).controls).toMatchObject(set);
  });

  it('keeps the steps as they were put when a bottle is added', () => {
    const plan = planOf({
      text: '20 g copper carbonate',
      bottles: ['bottle_copper', 'bottle_soda'],
      equations: ['CuSO4 + Na2CO3 -> Cu2CO3(OH)2'],
    });
    const put = unwrap(putStep(plan.route, { kind: 'hold', of: '', after: 'precipitate' })).route;
    const soda = { name: 'the soda', tolerates: 'no scent', measure: 'mass' } as const;
    const moved = changeRole(put, 'sodium-carbonate-decahydrate', soda);
    const again = planOf({
      text: '20 g copper carbonate',
      bottles: ['bottle_copper', 'bottle_soda', 'bottle_epsom'],
      equations: ['CuSO4 + Na2CO3 -> Cu2CO3(OH)2'],
      mine: moved,
    });
    const ids = again.route.steps.map(({ id }) => id);
    expect(again.route.roles.find(({ id }) => id === 'sodium-carbonate-decahydrate')).toMatchObject(soda);
    expect(ids).toContain('hold');
    expect(ids.indexOf('hold')).toBe(ids.indexOf('precipitate') + 1);
    expect(again.route.steps.filter(({ op }) => op.do === 'add')).toHaveLength(4);
    expect(routeProblems(again.route)).toEqual([]);
  });
});

describe('a built-in route that is copied', () => {
  /** What two of a built-in route may do together, in its own apparatus, no copy may. */
  const meant = (route: Route) => route.steps.some(({ op }) => op.do === 'absorb' && op.drips);

  it.each(catalogue.filter(meant).map((route) => [route.id, route] as const))(
    '%s is not kept: what meets in it is meant there alone',
    (_, route) => {
      const kept = admitRoute({ ...route, id: 'own-copy' });
      expect(kept.ok ? '' : kept.problem.message).toMatch(/two things meet that never may/);
    },
  );

  it.each(
    catalogue
      .filter((route) => route.id !== 'iodine-solution' && !meant(route))
      .map((route) => [route.id, route] as const),
  )('%s stays as it is, with its steps and doses, and may be kept', (_, route) => {
    const mine = { ...route, id: 'own-copy' };
    const plan = planForRoute(route);
    const stock = Object.values(plan.bottles).flatMap((id) =>
      id ? [{ id, ...plan.stock[id]!, archived: false }] : [],
    );
    const copy = ownFrom(
      draft({
        text: planTitle(plan),
        bottles: stock.map(({ id }) => id),
        equations: route.reactions.map(reactionText),
        mine,
        shelf: stock,
      }),
    );
    expect(copy.problems).toEqual([]);
    expect(copy.plan?.route).toEqual(mine);
    expect(admitRoute(mine)).toEqual({ ok: true, value: true });
  });
});

describe('any batch of one’s own', () => {
  const recipes: readonly Partial<OwnDraft>[] = [
    AMMONIUM_ZINC,
    {
      text: '60 g sodium acetate trihydrate',
      bottles: ['bottle_soda', 'bottle_vinegar'],
      equations: ['Na2CO3 + CH3COOH -> CH3COONa'],
    },
    {
      text: '20 g copper carbonate',
      bottles: ['bottle_copper', 'bottle_soda'],
      equations: ['CuSO4 + Na2CO3 -> Cu2CO3(OH)2'],
    },
    { text: '50 g magnesium sulfate heptahydrate', bottles: ['bottle_epsom'] },
  ];
  const change = fc.oneof(
    fc.record({
      do: fc.constant('put' as const),
      kind: fc.constantFrom(...stepKinds.map(({ id }) => id)),
      at: fc.nat(20),
      of: fc.nat(5),
    }),
    fc.record({ do: fc.constant('move' as const), at: fc.nat(20), to: fc.nat(20) }),
    fc.record({ do: fc.constant('remove' as const), at: fc.nat(20) }),
  );

  it('stays sound, folds and keeps its mass whatever steps are inserted, moved or taken out', () => {
    fc.assert(
      fc.property(fc.constantFrom(...recipes), fc.array(change, { maxLength: 8 }), (recipe, changes) => {
        let plan = planOf(recipe);
        for (const each of changes) {
          const { route } = plan;
          const id = route.steps[each.at % route.steps.length]!.id;
          let next = route;
          if (each.do === 'move') next = moveStep(route, id, each.to);
          else if (each.do === 'remove') {
            const done = removeStep(route, id);
            if (done.ok) next = done.value;
          } else {
            const kind = stepKinds.find((k) => k.id === each.kind)!;
            const from = kind.needs === 'reaction' ? route.reactions : route.roles;
            const done = putStep(route, {
              kind: each.kind,
              of: kind.needs ? (from[each.of % Math.max(1, from.length)]?.id ?? '') : '',
              after: id,
            });
            if (done.ok) next = done.value.route;
          }
          expect(routeProblems(next)).toEqual([]);
          const starts = Object.fromEntries(next.controls.map((control) => [control.id, control.start]));
          plan = { ...plan, route: next, controls: { ...starts, ...plan.controls } };
        }
        const bodies = plan.route.steps.flatMap(({ id, op }): EventBody[] => {
          const done = { kind: 'finished', step: id } as const;
          if (op.do !== 'add') return [done];
          const bottleId = plan.bottles[op.role] ?? null;
          return [
            { kind: 'added', step: id, role: op.role, bottleId, reading: exactReading(20, 'g'), reason: '' },
            done,
          ];
        });
        const events = eventsAt('2026-03-14T08:00:00.000Z', ...bodies);
        const run = runState(plan, events);
        if (!run.ok) {
          expect(run.problem.message).toMatch(/[.!]$/);
          return;
        }
        const { now, additions } = run.value.sheet;
        const went = additions.reduce((sum, line) => sum + (line.actual?.value ?? 0), 0);
        const made = plan.route.steps.some(({ op }) => op.do === 'make-up' || op.do === 'redissolve');
        if (now && !made) expect(massOverAll(now.vessels)).toBeCloseTo(went, 4);
        const parts = whereItWent(plan, run.value)?.parts;
        if (parts) expect(Math.abs(parts.reduce((sum, { pct }) => sum + pct, 0) - 100)).toBeLessThan(0.5);
      }),
      { numRuns: times(80) },
    );
  });
});

describe('a step inserted at the bench', () => {
  it('does what its kind does, with what was set at it', () => {
    const plan = planOf({
      text: '60 g sodium acetate trihydrate',
      bottles: ['bottle_soda', 'bottle_vinegar'],
      equations: ['Na2CO3 + CH3COOH -> CH3COONa'],
    });
    const insert = (set: number) =>
      ({
        kind: 'step-inserted',
        step: 'step_abcdef1',
        after: 'add-sodium-carbonate-decahydrate',
        beside: false,
        repeats: null,
        own: { kind: 'evaporate', of: '', set },
        title: 'Let some of the water go',
        why: '',
        leave: { alone: true, lookEveryMin: 600 },
      }) as const;
    const water = (set: number) => {
      const run = unwrap(
        runState(plan, [
          ...eventsAt(
            '2026-03-14T08:00:00.000Z',
            { kind: 'finished', step: 'add-water' },
            { kind: 'finished', step: 'add-acetic-acid' },
            { kind: 'finished', step: 'add-sodium-carbonate-decahydrate' },
            insert(set),
            { kind: 'finished', step: 'step_abcdef1' },
          ),
        ]),
      );
      expect(run.steps.find(({ key }) => key === 'step_abcdef1')).toMatchObject({
        technique: 'evaporate',
        status: 'done',
      });
      return run.sheet.now!.contents.waterG.value;
    };
    expect(water(50) / water(100)).toBeCloseTo(0.5, 3);
  });

  it('is not inserted where what stands there is never boiled down', () => {
    const acid = planOf({ text: '500 mL of 2 mol/L hydrochloric acid', bottles: ['bottle_brick'] });
    const poured = acid.route.steps.slice(0, 2).map(({ id }) => ({ kind: 'finished', step: id }) as const);
    const { sheet } = unwrap(runState(acid, eventsAt('2026-03-14T08:00:00.000Z', ...poured)));
    expect(insertRefused('boil-down', sheet)).toContain('hydrochloric acid is not boiled down');
    expect(insertRefused('hold', sheet)).toBe('');
  });

  it('counts what really went in, whatever was planned', () => {
    const plan = planOf(AMMONIUM_ZINC);
    const zinc = {
      kind: 'added',
      step: 'add-zinc',
      role: 'zinc',
      bottleId: 'bottle_zinc',
      reading: exactReading(5, 'g'),
      reason: '',
    } as const;
    const done = plan.route.steps.slice(0, 3).map(({ id }) => ({ kind: 'finished', step: id }) as const);
    const run = unwrap(
      runState(plan, eventsAt('2026-03-14T08:00:00.000Z', ...done, zinc, { kind: 'finished', step: 'add-zinc' })),
    );
    expect(run.sheet.theory!.value).toBeCloseTo(((5 * 0.99) / 65.38) * 401.68, 1);
  });
});

it('knows its own substance again by its id', () => {
  const id = describedId({
    name: 'ammonium zinc sulfate',
    formula: '(NH4)2Zn(SO4)2.6H2O',
    form: 'solid',
    gPerMl: null,
    gPer100gWater: null,
    meltsC: null,
    hazards: '',
  });
  expect(planOf(AMMONIUM_ZINC).target.substanceId).toBe(id);
});
