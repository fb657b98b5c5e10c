import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { classesOf } from '#matter/guard';
import { reactionHeat } from '#matter/reaction';
import { substanceOf } from '#matter/substance';
import type { EventBody } from '#run/log';
import { catalogue } from '#run/route';
import { sheetOf } from '#run/sheet';
import { advise } from '#run/state';
import { own } from '#testing/asking';
import { planForRoute } from '#testing/catalogue';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

describe('heat', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))('of %s is held, or said to be unknown', (_, route) => {
    // A generator is heated, or drips as slowly as its gas goes: its own heat is asked by nobody.
    const generates = new Set(
      route.steps.flatMap(({ op }) => (op.do === 'absorb' ? [op.reaction, ...(op.also ?? [])] : [])),
    );
    const sheet = unwrap(sheetOf(planForRoute(route)));
    const said = sheet.notKnown.some(({ what }) => what === 'heat');
    for (const reaction of route.reactions)
      if (!generates.has(reaction.id) && !said) expect(reactionHeat(reaction), reaction.id).toBeTypeOf('number');
    const gauge = sheet.gauges.find(({ id }) => id === 'heat');
    if (sheet.notKnown.some(({ what }) => what === 'heat')) expect(gauge?.shown).toMatch(/at least|not known/);
    else if (sheet.heats.length > 0) expect(gauge?.shown).toMatch(/^[+−] [\d.]+ K$/);
  });

  it('of hydrozincite in acid lies between its carbonate and its hydroxide, by their own enthalpies', () => {
    const heat = reactionHeat(catalogue.find(({ id }) => id === 'zinc-acetate')!.reactions[0]!)!;
    // 2 ZnCO3 at −20.4 and 3 Zn(OH)2 at −82.3 are −287.7 kJ in strong acid; a compound is somewhat below its parts. Ten
    // acetic acids take 0.4 kJ each to ionise.
    expect(heat).toBeGreaterThan(-290);
    expect(heat).toBeLessThan(-230);
  });

  it('of gelling is that of the lye left over and of the silicate, 75 to 90 kJ for 41 g of sand and about 30 K', () => {
    const { added, run } = on('silica', '30 g silica gel', {
      sand: 'quartz sand 99 % 1 kg',
      lye: 'sodium hydroxide 99 % 1 kg',
      acid: 'hydrochloric acid 28 % 5 L',
    });
    const { sheet } = run(
      added('sand', 'sand', 41),
      { ...added('lye', 'lye', 70) },
      { ...added('water', 'water', 410, 'mL') },
    );
    const heat = sheet.heats.find(({ step }) => step === 'acid')!;
    expect(heat.heat.value).toBeGreaterThan(75);
    expect(heat.heat.value).toBeLessThan(110);
    expect(heat.rise.value).toBeGreaterThan(25);
    expect(heat.notKnown).toEqual([]);
  });

  it('of the fertiliser going into water is felt as cold', () => {
    const { plan } = on('sodium-nitrate', '100 g sodium nitrate', {
      soda: 'sodium carbonate 99 % 1 kg',
      fertiliser: 'calcium ammonium nitrate 99 % 1 kg',
    });
    const heat = unwrap(sheetOf(plan)).heats.find(({ step }) => step === 'fertiliser')!;
    expect(heat.heat.value).toBeLessThan(0);
    expect(heat.notKnown).toEqual([]);
  });
});

describe('an end point by paper', () => {
  const ALKALINE = ['alkali_strong', 'alkali_mild'];

  it.each(
    catalogue.flatMap(({ id, steps, roles }) =>
      steps.flatMap(({ op, adding }) =>
        op.do === 'add' && adding?.pH ? [[id, roles.find((role) => role.id === op.role)!, adding.pH] as const] : [],
      ),
    ),
  )('of %s rises with what is alkaline and falls with acid', (_, role, { goes }) => {
    for (const id of role.accepts) {
      const substance = substanceOf(id);
      const classes = classesOf(substance.id, 30);
      const alkaline = ALKALINE.some((each) => classes.has(each));
      expect(goes, id).toBe(alkaline ? 'up' : 'down');
    }
  });

  it('is not reached by zinc salt that is still acid, nor by water glass that is still alkaline', () => {
    const soda = on('zinc-carbonate-from-salt', '20 g zinc carbonate', {
      salt: 'zinc chloride 1 mol/L 500 mL',
      soda: 'washing soda crystals 1 kg',
    });
    const lye = on('silica', '30 g silica gel', {
      sand: 'quartz sand 99 % 1 kg',
      lye: 'sodium hydroxide 99 % 1 kg',
      acid: 'hydrochloric acid 28 % 5 L',
    });
    const pctAt = ({ plan, added }: typeof soda, step: string, role: string, grams: number, pH: number) =>
      own(
        unwrap(
          advise(
            plan,
            eventsAt(START, added(step, role, grams), read(step, 'pH', pH, '')),
            step,
            '2026-03-14T09:00:00Z',
          ),
        ),
        'add',
      )!.extent!.estimates.find(({ by }) => by === 'pH')!.lowPct;
    expect(pctAt(soda, 'soda', 'soda', 10, 4)).toBeNull();
    expect(pctAt(soda, 'soda', 'soda', 10, 7.5)).toBe(98);
    expect(pctAt(lye, 'acid', 'acid', 20, 12)).toBeNull();
    expect(pctAt(lye, 'acid', 'acid', 20, 7)).toBe(98);
  });

  it('that is seen long before the dose is in is asked about, and the paper decides', () => {
    const lye = on('silica', '30 g silica gel', {
      sand: 'quartz sand 99 % 1 kg',
      lye: 'sodium hydroxide 99 % 1 kg',
      acid: 'hydrochloric acid 28 % 5 L',
    });
    const set = {
      ...read('acid', 'sight', 0, ''),
      reading: { is: 'sight', enough: true, text: 'it sets' },
    } as EventBody;
    const melted = done('clean', 'sand', 'lye', 'fuse', 'water', 'leach');
    const says = (...bodies: EventBody[]) =>
      own(
        unwrap(
          advise(
            lye.plan,
            eventsAt(START, ...melted, lye.added('acid', 'acid', 40), ...bodies),
            'acid',
            '2026-03-14T09:00:00Z',
          ),
        ),
        'add',
      )!.add!.early;
    expect(says()).toBe('');
    expect(says(set)).toContain('Try it with paper');
    expect(says(set, read('acid', 'pH', 11, ''))).toMatch(/still alkaline.*go on in small portions/s);
    expect(says(set, read('acid', 'pH', 6.5, ''))).toContain('Stop here');
  });
});
