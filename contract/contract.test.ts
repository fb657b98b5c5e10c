import { describe, expect, it } from 'vitest';
import { problemCatalogue } from '#base/problem';
import { BenchDefaults, benchShape } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { cardShape } from '#matter/stock';
import { newEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { eventsBody } from './bodies.ts';
import { check } from './check.ts';
import { compute } from './compute.ts';
import { problemDocument } from './problems.ts';
import { verbs } from './verbs.ts';

const card = parseLabel('hydrochloric acid 28% 5 L', '2026-01-01', 20).card!;
const happened = { at: '2026-03-14T09:30:00Z', giveOrTakeMin: 0 };
const event = (body: unknown, extra: object = {}) => ({ id: 'ev_abcdef12', happened, body, ...extra });

describe('schemas', () => {
  it('take what the core makes', () => {
    expect(check(cardShape, card)).toMatchObject({ ok: true });
    expect(check(benchShape, BenchDefaults)).toMatchObject({ ok: true });
  });

  it.each([
    ['unknown key', { ...card, colour: 'red' }, 'unknown key'],
    ['text for a number', { ...card, strength: { value: '28', unit: 'w/w' } }, 'strength.value'],
    ['unknown unit', { ...card, strength: { value: 28, unit: 'parsec' } }, 'strength.unit'],
    ['negative price', { ...card, price: -1 }, 'price'],
    ['no size unit', { ...card, size: { value: 5 } }, 'size.unit'],
    ['infinite size', { ...card, size: { value: Number.POSITIVE_INFINITY, unit: 'g' } }, 'size.value'],
    ['not a day', { ...card, since: '2026-02-31x' }, 'since'],
    ['null', null, ''],
  ])('refuse a card with %s', (_, value, field) => {
    const result = check(cardShape, value);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(`${result.problem.field ?? ''} ${result.problem.message}`).toContain(field);
  });

  it.each([
    [{ kind: 'noted', step: 'zinc', text: 'fine' }],
    [
      {
        kind: 'added',
        step: 'zinc',
        role: 'zinc',
        bottleId: 'bottle_a',
        reading: { is: 'exact', value: 17, unit: 'g' },
        reason: '',
      },
    ],
    [{ kind: 'read', step: 'x', quantity: 'pH', reading: { is: 'band', low: 7, high: 8, unit: '' }, place: '' }],
    [
      {
        kind: 'read',
        step: 'x',
        quantity: 'sight',
        reading: { is: 'sight', enough: false, text: 'still blue' },
        place: '',
      },
    ],
    [{ kind: 'corrected', of: 'ev_abcdef34', body: null, reason: '' }],
    [{ kind: 'corrected', of: 'ev_abcdef34', body: { kind: 'noted', step: 'x', text: 'better' }, reason: '' }],
  ])('take the entry %j', (body) => expect(check(newEventShape, event(body))).toMatchObject({ ok: true }));

  it.each([
    [{ kind: 'exploded', step: 'zinc' }, 'is one of'],
    [{ kind: 'noted', step: 'zinc', text: '' }, 'text'],
    [{ kind: 'noted', text: 'x' }, 'step'],
    [
      {
        kind: 'added',
        step: 'z',
        role: null,
        bottleId: null,
        reading: { is: 'exact', value: -3, unit: 'g' },
        reason: '',
      },
      '0 or more',
    ],
    [
      {
        kind: 'added',
        step: 'z',
        role: null,
        bottleId: null,
        reading: { is: 'band', low: 9, high: 3, unit: 'g' },
        reason: '',
      },
      'low end',
    ],
    [{ kind: 'added', step: 'z', role: null, bottleId: null, reading: { is: 'guess' }, reason: '' }, 'is one of'],
    [
      {
        kind: 'corrected',
        of: 'ev_abcdef34',
        body: { kind: 'corrected', of: 'ev_x', body: null, reason: '' },
        reason: '',
      },
      'is one of',
    ],
    [{ kind: 'timer-set', step: 'z', timer: 'timer_abc123', name: 'x', minutes: 0 }, 'minutes'],
    [
      { kind: 'read', step: 'z', quantity: 'left', reading: { is: 'exact', value: -1, unit: 'g' }, place: '' },
      '0 or more',
    ],
    [
      {
        kind: 'portion-taken',
        step: 'z',
        reading: { is: 'exact', value: 1e9, unit: 'g' },
        purpose: '',
        returned: false,
      },
      'at most a tonne',
    ],
    ['nonsense', 'is one of'],
    [null, 'null'],
  ])('refuse the entry %j', (body, part) => {
    const result = check(newEventShape, event(body));
    expect(result.ok ? '' : result.problem.message).toContain(part);
  });

  it('refuse a bad id, a bad instant and a list that is empty or endless', () => {
    const good = event({ kind: 'noted', step: 'x', text: 'y' });
    expect(check(newEventShape, { ...good, id: 'x; DROP TABLE' }).ok).toBe(false);
    expect(check(newEventShape, { ...good, happened: { at: 'yesterday', giveOrTakeMin: 0 } }).ok).toBe(false);
    expect(check(eventsBody, { events: [] }).ok).toBe(false);
    expect(check(eventsBody, { events: Array.from({ length: 501 }, () => good) }).ok).toBe(false);
    expect(check(planShape, { day: '2026-01-01' }).ok).toBe(false);
  });
});

describe('the compute door', () => {
  it('answers a verb with packed figures', () => {
    const answer = compute('label', { text: 'washing soda crystals 1kg', today: '2026-01-01', tempC: 20 });
    expect(answer).toMatchObject({
      ok: true,
      value: { result: { reading: { card: { substanceId: 'sodium-carbonate-decahydrate' } } } },
    });
    expect(answer.ok && Object.keys(answer.value)).toEqual(['result', 'figures']);
  });

  it('answers the Reckoner in its own shape', () => {
    const answer = compute('reckon', { text: '28% HCl in mol/L' });
    expect(answer.ok && Object.keys(answer.value)).toEqual(['answers', 'working', 'cautions']);
    const refused = compute('reckon', { text: '28% HCk in mol/L' });
    expect(refused).toMatchObject({ ok: false, problem: { code: 'bad-formula', at: [4, 7] } });
  });

  it.each([
    ['nothing', {}, 'unknown-verb'],
    ['constructor', {}, 'unknown-verb'],
    ['label', {}, 'invalid-input'],
    ['label', { text: 5, today: '2026-01-01', tempC: 20 }, 'invalid-input'],
    ['label', { text: 'x', today: '2026-01-01', tempC: 900 }, 'invalid-input'],
    ['sheet', { plan: null }, 'invalid-input'],
    ['sheet', null, 'invalid-input'],
  ])('refuses %s of %j as %s', (verb, input, code) => {
    const answer = compute(verb, input);
    expect(answer.ok ? 'answered' : answer.problem.code).toBe(code);
  });

  it('compares the routes to a target, with what is missing', () => {
    const shelf = [{ id: 'bottle_a', card, usedG: 0, archived: false }];
    const made = verbs.target.run({
      text: '1 L of 1 mol/L hydrochloric acid',
      shelf,
      bench: BenchDefaults,
      today: '2026-01-01',
    });
    expect(made.ok && made.value.choices[0]?.row?.wait).toBe('12 to 42 min');
    const missing = verbs.target.run({ text: '50 g zinc sulfate', shelf, bench: BenchDefaults, today: '2026-01-01' });
    expect(missing.ok && missing.value.choices[0]?.missing).toHaveLength(2);
    const stronger = verbs.target.run({
      text: '1 L of 36 % hydrochloric acid',
      shelf,
      bench: BenchDefaults,
      today: '2026-01-01',
    });
    expect(stronger.ok && stronger.value.choices[0]?.problem?.message).toContain('cannot make it stronger');
  });
});

describe('problems', () => {
  it('each carry a title and a 4xx or 500 status into the document', () => {
    for (const code of Object.keys(problemCatalogue) as (keyof typeof problemCatalogue)[]) {
      const document = problemDocument({ code, message: 'x.' });
      expect(document.status).toBeGreaterThanOrEqual(400);
      expect(document.title.length).toBeGreaterThan(3);
      expect(document.type).toBe(`urn:earnest-still:problem:${code}`);
    }
  });
});
