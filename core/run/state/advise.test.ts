import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import type { EventBody } from '#run/log';
import { advise } from '#run/state';
import { own } from '#testing/asking';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const adviceOn = (of: ReturnType<typeof on>, step: string, ...bodies: EventBody[]) =>
  unwrap(advise(of.plan, eventsAt(START, ...bodies), step, START));

describe('dissolving in just enough water', () => {
  const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
  const crude = alum.added('crude', 'crude', 80);
  const warm = { ...alum, plan: { ...alum.plan, controls: { ...alum.plan.controls, hot: 60 } } };
  const at = (water: number) =>
    own(
      adviceOn(warm, 'heat', crude, ...done('crude'), alum.added('water', 'water', water, 'mL'), ...done('water')),
      'dissolve',
    )!;

  it('tells the water to spare, as by hand, and what will not dissolve', () => {
    // 80 g of 97 % hold 42.24 g dry and 35.36 g of water. At 60 °C 24.75 g dissolve in 100 g (Seidell): 170.7 g are wanted.
    const byHand = (water: number) => 100 * ((water * 0.9982 + 35.36) / 170.7 - 1);
    expect(Math.abs(at(150).sparePct - byHand(150))).toBeLessThan(1.5);
    expect(Math.abs(at(200).sparePct - byHand(200))).toBeLessThan(1.5);
    expect(at(150).sentence).toContain('2.4 g in it is something else');
    expect(at(40).sparePct).toBeLessThan(-40);
    expect(at(40).sentence).toContain('short');
  });

  it('says nothing at other steps, nor before both are in', () => {
    expect(own(adviceOn(alum, 'cool', crude, ...done('crude')), 'dissolve')).toBeNull();
    expect(own(adviceOn(alum, 'heat'), 'dissolve')).toBeNull();
  });
});

describe('filtering', () => {
  const carbonate = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
    salt: 'zinc chloride 1 mol/L 500 mL',
    soda: 'washing soda crystals 1 kg',
  });
  const settled = [carbonate.added('salt', 'salt', 210), ...done('salt', 'water', 'soda', 'settle')];

  it('knows the solid that stands in it, and that a sieve does not hold it', () => {
    const filter = own(adviceOn(carbonate, 'collect', ...settled), 'filter');
    expect(filter!.grain).toContain('powder');
    expect(filter!.solidG).toBeGreaterThan(15);
    const verdict = (name: string) => filter!.media.find((each) => each.name.includes(name))!.verdict;
    expect(verdict('paper')).toBe('good');
    expect(verdict('sieve')).toBe('no');
    expect(filter!.settleH[0]).toBeLessThan(filter!.settleH[1]);
    expect(filter!.paperMin[1]).toBeGreaterThan(filter!.coffeeMin[1]);
    // Soda is 5 % over: next to nothing of the zinc stays.
    expect(filter!.left).toMatch(/0\.\d+ mg of zinc carbonate.*complete/);
    expect(filter!.paper).toBeNull();
  });

  it('settles before it filters, and says nothing elsewhere, or when the step is done', () => {
    expect(own(adviceOn(carbonate, 'settle', ...settled.slice(0, -1)), 'precipitate')).not.toBeNull();
    expect(own(adviceOn(carbonate, 'collect', ...settled, ...done('collect')), 'filter')).toBeNull();
    expect(own(adviceOn(carbonate, 'soda', ...settled.slice(0, 3)), 'filter')).toBeNull();
    expect(own(adviceOn(carbonate, 'collect'), 'filter')).toBeNull();
  });

  it('refuses steel and warns of paper where hot acid goes through, and of glass where lye does', () => {
    const zinc = on('zinc-chloride', '500 mL of 1 mol/L zinc chloride', {
      zinc: 'zinc 99 % 1 kg',
      acid: 'hydrochloric acid 30 % 5 L',
    });
    // Acid in excess: half the zinc was put in.
    const acidic = own(
      adviceOn(
        zinc,
        'filter',
        zinc.added('zinc', 'zinc', 15),
        zinc.added('acid', 'acid', 120),
        ...done('ready', 'zinc', 'water', 'acid', 'dissolve'),
      ),
      'filter',
    )!;
    expect(acidic.media.find(({ name }) => name === 'steel sieve')).toMatchObject({ verdict: 'no' });
    expect(acidic.media.find(({ name }) => name === 'steel sieve')!.says).toContain('dissolve');
  });

  it('prices the rinse of a paper before the crystals, not of the crystals themselves', () => {
    const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
    const hot = [alum.added('crude', 'crude', 80), ...done('crude', 'water', 'heat')];
    const paper = own(adviceOn(alum, 'filter', ...hot), 'filter')!.paper!;
    expect(paper.rinse.backG).toBeLessThan(paper.rinse.heldG);
    expect(paper.rinse.heldG).toBeGreaterThan(0.3);
    expect(own(adviceOn(alum, 'filter', ...hot), 'filter')!.grain).toContain('dirt');
    const crystals = own(adviceOn(alum, 'collect', ...hot, ...done('filter', 'cool')), 'filter')!;
    expect(crystals.paper).toBeNull();
    expect(crystals.solidG).toBeGreaterThan(50);
    expect(crystals.media.every(({ verdict }) => verdict === 'good')).toBe(true);
  });
});

describe('drying', () => {
  it('says that it is dry once two weighings agree, not when it might level out', () => {
    const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
    const start = Date.parse(START);
    const weighed = (...pairs: readonly (readonly [number, number])[]) =>
      unwrap(
        advise(
          alum.plan,
          pairs.map(([hours, grams], i) => ({
            ...eventsAt(new Date(start + hours * 3_600_000).toISOString(), read('dry', 'mass', grams, 'g'))[0]!,
            id: `ev_weigh000${i}`,
          })),
          'dry',
          new Date(start + 40 * 3_600_000).toISOString(),
        ),
      ).finish!;
    expect(weighed([0, 66], [6, 61], [12, 60.05], [20, 60]).sentence).toMatch(/^Constant.*It is dry\.$/);
    expect(weighed([0, 66], [6, 63], [12, 61.4]).sentence).toContain('water still in it');
  });
});
