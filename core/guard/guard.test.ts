import { describe, expect, it } from 'vitest';
import { type CautionFacts, cautionFor, legalNotes, scopeLimit } from './index.ts';

const facts: CautionFacts = {
  acids: [{ substanceId: 'sulfuric-acid', name: 'Top-up Acid', pct: 37 }],
  gas: { id: 'hydrogen', litres: 6.3 },
  roomM3: 20,
  riseK: 30,
  startC: 16,
  foamMl: 40,
  liquidMl: 130,
};

describe('cautions', () => {
  it('reckon hydrogen against its burning limit', () => {
    // 6.3 L at 4 % fill 157.5 L
    expect(cautionFor('hydrogen', facts)).toMatchObject({ severity: 'stop' });
    expect(cautionFor('hydrogen', facts)!.text).toContain('160 L');
    expect(cautionFor('hydrogen', { ...facts, gas: null })).toBeUndefined();
  });

  it('take their first aid and their word from the strength’s band', () => {
    expect(cautionFor('corrosive', facts)!.title).toContain('Corrosive');
    expect(
      cautionFor('corrosive', { ...facts, acids: [{ substanceId: 'sulfuric-acid', name: 'weak', pct: 8 }] })!.title,
    ).toContain('Irritant');
    expect(cautionFor('corrosive', { ...facts, acids: [] })).toBeUndefined();
  });

  it('call heat that would boil a stop, and say nothing of a few degrees', () => {
    expect(cautionFor('heat', facts)!.severity).toBe('watch');
    expect(cautionFor('heat', { ...facts, riseK: 90 })!.severity).toBe('stop');
    expect(cautionFor('heat', { ...facts, riseK: 3 })).toBeUndefined();
    expect(cautionFor('heat', { ...facts, riseK: -9 })).toBeUndefined();
  });

  it('name the law only where a threshold is crossed, with its date', () => {
    expect(legalNotes('sulfuric-acid', 37).join(' ')).toContain('2019/1148');
    expect(legalNotes('sulfuric-acid', 10)).toEqual([]);
    expect(cautionFor('law', facts)!.text).toContain('Check your local code');
  });

  it('fume only strong hydrochloric acid', () => {
    expect(cautionFor('fume', facts)).toBeUndefined();
    expect(
      cautionFor('fume', { ...facts, acids: [{ substanceId: 'hydrochloric-acid', name: 'x', pct: 28 }] })!.text,
    ).toContain('5 ppm');
  });
});

describe('scope', () => {
  it('ends at 70 % sulfuric, 68 % nitric, 12 % peroxide', () => {
    expect(scopeLimit('sulfuric-acid', 70).ok).toBe(true);
    expect(scopeLimit('sulfuric-acid', 71).ok).toBe(false);
    expect(scopeLimit('nitric-acid', 70).ok).toBe(false);
    expect(scopeLimit('hydrogen-peroxide', 30).ok).toBe(false);
    expect(scopeLimit('acetic-acid', 99).ok).toBe(true);
  });
});
