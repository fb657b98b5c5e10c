import { describe, expect, it } from 'vitest';
import { clashesOf, type Present } from './index.ts';

const of = (substanceId: string, pct: number): Present => ({ substanceId, pct, ...(pct > 60 && { dry: true }) });
const water = of('water', 90);

/** What is in the vessel, and what goes in: forty bench days on which nothing is the matter. */
const DAYS: readonly (readonly [what: string, there: readonly Present[], added: Present])[] = [
  ['acid into water', [water], of('hydrochloric-acid', 28)],
  ['weak sulfuric acid into water', [water], of('sulfuric-acid', 37)],
  ['vinegar into water', [water], of('acetic-acid', 8)],
  ['table salt into water', [water], of('sodium-chloride', 99)],
  ['alum into water', [water], of('potassium-alum', 99)],
  ['saltpetre into water', [water], of('potassium-nitrate', 99)],
  ['Epsom salt into water', [water], of('magnesium-sulfate-heptahydrate', 99)],
  ['copper sulfate into water', [water], of('copper-sulfate-pentahydrate', 99)],
  ['iron sulfate into water', [water], of('iron-sulfate-heptahydrate', 92)],
  ['soda crystals into water', [water], of('sodium-carbonate-decahydrate', 100)],
  ['citric acid into water', [water], of('citric-acid', 99)],
  ['boric acid into water', [water], of('boric-acid', 99)],
  ['sal ammoniac into water', [water], of('ammonium-chloride', 99)],
  ['a little lye into water', [water], of('sodium-hydroxide', 99)],
  ['vinegar on baking soda', [of('sodium-hydrogencarbonate', 99)], of('acetic-acid', 8)],
  ['soda into zinc sulfate', [water, of('zinc-sulfate', 12)], of('sodium-carbonate-decahydrate', 100)],
  ['soda into copper sulfate', [water, of('copper-sulfate', 8)], of('sodium-carbonate', 99)],
  ['chalk into vinegar', [water, of('acetic-acid', 7)], of('calcium-carbonate', 99)],
  ['soap-maker’s lye with vinegar, both weak', [water, of('sodium-hydroxide', 2)], of('acetic-acid', 5)],
  ['titrating acid with base', [water, of('hydrochloric-acid', 0.4)], of('sodium-hydroxide', 0.4)],
  [
    'titrating peroxide with permanganate',
    [water, of('hydrogen-peroxide', 0.3), of('sulfuric-acid', 2)],
    of('potassium-permanganate', 0.3),
  ],
  ['titrating iodine with thiosulfate', [water, of('iodine', 0.2)], of('sodium-thiosulfate', 2)],
  ['testing for sulfate', [water, of('hydrochloric-acid', 1)], of('barium-chloride', 5)],
  ['testing for iron with ferrocyanide', [water, of('hydrochloric-acid', 1)], of('potassium-ferrocyanide', 1)],
  ['testing for iron with thiocyanate', [water, of('hydrochloric-acid', 0.5)], of('potassium-thiocyanate', 0.5)],
  ['testing chloride with silver', [water, of('nitric-acid', 1)], of('silver-nitrate', 1)],
  ['rinsing crystals with spirit', [of('potassium-nitrate', 95), of('water', 5)], of('ethanol', 90)],
  ['rinsing alum with spirit', [of('potassium-alum', 95), of('water', 5)], of('ethanol', 90)],
  ['shop peroxide beside spirit', [of('ethanol', 70)], of('hydrogen-peroxide', 3)],
  ['shop peroxide with vinegar', [of('acetic-acid', 5)], of('hydrogen-peroxide', 3)],
  ['shop peroxide with weak acid', [water, of('sulfuric-acid', 5)], of('hydrogen-peroxide', 3)],
  ['magnesia into weak acid', [water, of('sulfuric-acid', 8)], of('magnesium-oxide', 97)],
  ['zinc oxide into vinegar', [water, of('acetic-acid', 8)], of('zinc-oxide', 99)],
  ['thiosulfate into thin bleach', [water, of('sodium-hypochlorite', 0.3)], of('sodium-thiosulfate', 99)],
  ['sugar and saltpetre, both dissolved', [water, of('potassium-nitrate', 10)], of('sucrose', 10)],
  ['two sulfates', [water, of('copper-sulfate', 10)], of('ammonium-sulfate', 99)],
  ['iron sulfate to ferric alum’s acid', [water, of('sulfuric-acid', 6)], of('iron-sulfate-heptahydrate', 92)],
  ['washing with cold water', [of('zinc-carbonate', 60)], of('water', 100)],
  ['brine on sodium sulfate', [water, of('sodium-sulfate', 10)], of('sodium-chloride', 99)],
  ['formate beside soda', [of('sodium-formate', 99)], of('sodium-carbonate', 99)],
];

describe('forty ordinary days', () => {
  it.each(DAYS)('%s: a reminder at most', (_, there, added) => {
    const clashes = clashesOf(there, added, { tempC: 20 });
    expect(clashes.filter(({ severity }) => severity !== 'caution')).toEqual([]);
    // A note is one or two lines, not a page.
    expect(clashes.length).toBeLessThan(3);
  });
});
