import { formatNumber } from '#base/units';
import { countryRows, volatiles } from '#matter/data';
import { molarMass, substanceById } from '#matter/substance';
import { bandOf, hazardsOf } from './band.ts';
import { type Caution, type CautionFacts, type CautionRule, litresOf } from './caution-facts.ts';
import type { CautionId } from './caution-id.ts';
import { poisons } from './caution-poison.ts';
import { classesOf } from './classes.ts';
import { LAW_CHANGES, type LawQuestion, lawOn, lawUnchosen } from './law.ts';

/** What burns at the warmth of a bath: its flash point is below this, °C. */
const BURNS_BELOW_C = 60;

/** Lower limit in air, vol %, of a liquid that burns; undefined of others, and of those that no limit is held of. */
function lowerLimit(id: string): number | undefined {
  const row = volatiles.find((each) => each.id === id);
  return row?.flashC !== undefined && row.flashC < BURNS_BELOW_C ? row.lowerLimitPct : undefined;
}

/** Mass % below which a solution of it gives too little vapour to burn at the warmth of a room. */
const WEAK_PCT = 15;

/** Lower flammable limit of hydrogen in air, % by volume (ISO/TR 15916). */
const HYDROGEN_LFL = 4;

const rules: Readonly<Record<CautionId, CautionRule>> = {
  'acid-into-water': ({ acids }) => ({
    id: 'acid-into-water',
    severity: 'stop',
    title: 'Acid into water, never water onto acid',
    text: `${strongest(acids)?.name ?? 'The acid'} poured slowly into water warms it; water poured onto the acid boils and spits.`,
  }),
  corrosive: ({ acids }) => {
    const acid = strongest(acids);
    if (!acid) return undefined;
    const row = bandOf(acid.substanceId, acid.pct);
    const bites = row?.statements?.includes('H314') ?? acid.pct > 10;
    return {
      id: 'corrosive',
      severity: bites ? 'stop' : 'watch',
      title: `${bites ? 'Corrosive' : 'Irritant'}: ${name(acid.substanceId)}, ${formatNumber(acid.pct, 3)} %`,
      text: `Goggles, ${row ? 'nitrile gloves' : 'gloves'}, old clothes. ${row?.firstAid ?? 'On skin or in eyes: rinse with water at once, 20 minutes.'}`,
    };
  },
  fume: ({ acids, roomM3 }) => {
    const acid = acids.find(({ substanceId, pct }) => substanceId === 'hydrochloric-acid' && pct >= 20);
    if (!acid) return undefined;
    return {
      id: 'fume',
      severity: 'watch',
      title: 'Fume',
      text: `${formatNumber(acid.pct, 3)} % hydrochloric acid gives off hydrogen chloride; the ceiling is 5 ppm, about ${formatNumber(((5e-6 * roomM3 * 1e6) / 24.06) * 0.03646, 2)} g in ${roomM3} m³. Outdoors or by an open window, cap on between pours.`,
    };
  },
  hydrogen: ({ gases }) => {
    const litres = litresOf(gases, 'hydrogen');
    if (litres <= 0) return undefined;
    return {
      id: 'hydrogen',
      severity: 'stop',
      title: `Hydrogen, about ${formatNumber(litres, 2)} L`,
      text: `Enough to bring ${formatNumber(litres / (HYDROGEN_LFL / 100), 2)} L of air above its burning limit of ${HYDROGEN_LFL} %. Outdoors, never a closed vessel, nothing lit and no switch within 3 m.`,
    };
  },
  'cell-gas': ({ gases }) => {
    const litres = litresOf(gases, 'hydrogen');
    const chlorine = litresOf(gases, 'chlorine');
    if (litres + chlorine <= 0) return undefined;
    return {
      id: 'cell-gas',
      severity: 'stop',
      title:
        chlorine > 0
          ? 'No lid, outdoors: hydrogen and chlorine'
          : `No lid, nothing lit: hydrogen, about ${formatNumber(litres, 2)} L`,
      text:
        chlorine > 0
          ? `About ${formatNumber(chlorine, 2)} L of chlorine and ${formatNumber(litres, 2)} L of hydrogen: under one lid they explode in daylight. Each side open to the air of its own, chlorine through an absorber.`
          : `With the oxygen of the other electrode it explodes from ${HYDROGEN_LFL} % up: never under one lid, cloth or box. Open to the air, no flame, no switch beside it, overnight as well.`,
    };
  },
  'cell-supply': () => ({
    id: 'cell-supply',
    severity: 'watch',
    title: 'Supply off before a hand goes in',
    text: 'Dry hands at the plug; the supply stands higher than the liquid and apart, on a surface that does not burn. Extra-low direct voltage only, with a fuse or a limit; clips that grow warm are too small. Unattended: current held, level marked, nothing that burns near.',
  }),
  'cell-lead': () => ({
    id: 'cell-lead',
    severity: 'stop',
    title: 'Lead dioxide leaves lead',
    text: 'About 1 mg for each ampere-hour, more on starting: the acid is for nothing that touches skin or food. Gloves, no dust, rinses and the anode to hazardous waste; never made by opening a battery.',
  }),
  'lye-glass': () => ({
    id: 'lye-glass',
    severity: 'watch',
    title: 'Lye is not boiled down in glass',
    text: 'Hot strong alkali eats glass and aluminium. Stainless steel or polypropylene, goggles on; it takes carbon dioxide from the air meanwhile.',
  }),
  foam: ({ gases, foamMl, liquidMl }) => {
    const litres = gases.reduce((sum, gas) => sum + gas.litres, 0);
    if (litres <= 0) return undefined;
    return {
      id: 'foam',
      severity: 'watch',
      title: `Foam: ${formatNumber(litres, 2)} L of gas through ${formatNumber(liquidMl, 2)} mL`,
      text: `Added by spoons it stands about ${formatNumber(foamMl, 2)} mL high over the liquid; all at once it runs over. Let it fall between spoons.`,
    };
  },
  heat: ({ riseK, startC }) => {
    if (riseK === null || riseK < 5) return undefined;
    const boils = startC + riseK >= 95;
    return {
      id: 'heat',
      severity: boils ? 'stop' : 'watch',
      title: `Heat: about ${formatNumber(riseK, 2)} K if all at once`,
      text: boils
        ? 'That would boil it. Add in small parts, let it cool between them, have a tray of cold water ready.'
        : `It would reach about ${formatNumber(startC + riseK, 2)} °C. Pour slowly and stir.`,
    };
  },
  flammable: ({ products, made }) => {
    // The one that takes least of its vapour first.
    const burns = [...products, ...(made ? [made] : [])].flatMap(({ substanceId, pct }) => {
      const limit = lowerLimit(substanceId);
      const substance = substanceById(substanceId);
      return limit === undefined || !substance || pct < WEAK_PCT
        ? []
        : [{ substanceId, litres: ((10 / molarMass(substance.formula)) * 24.5 * 100) / limit }];
    });
    const [part] = burns.sort((x, y) => y.litres - x.litres);
    if (!part) return undefined;
    const { litres } = part;
    return {
      id: 'flammable',
      severity: 'stop',
      title: `Flammable vapour: ${name(part.substanceId)}`,
      text: `10 g of its vapour make ${formatNumber(litres, 2)} L of air that can be lit, and it creeps along the floor. No flame, no open coil, no switch within 3 m; a water bath, an extinguisher in reach.`,
    };
  },
  permit: () => ({
    id: 'permit',
    severity: 'stop',
    title: 'A permit, and not for drinking',
    text: 'Distilling ethanol, denatured or not, needs a permit in many places, and even owning a still may: ask your local authority before the first step. The denaturant is never taken out: that is an offence, and it poisons. Nothing made here is for drinking.',
  }),
  'hot-liquid': () => ({
    id: 'hot-liquid',
    severity: 'watch',
    title: 'Hot liquid',
    text: 'Steady support, heat low, goggles on; strong salt solutions bump. Never lift it boiling.',
  }),
  'boil-dry': () => ({
    id: 'boil-dry',
    severity: 'watch',
    title: 'Do not let it boil dry',
    text: 'The last of the water spatters and the glass cracks. Stay with it below a third of its volume.',
  }),
  ...poisons,
  oxidiser: () => ({
    id: 'oxidiser',
    severity: 'watch',
    title: 'Nitrates feed fires',
    text: 'No paper, sugar, sulfur, charcoal or oil near it, dry or hot; nothing of it is ever ground or mixed with what burns.',
  }),
  quench: ({ quench }) =>
    quench === '' ? undefined : { id: 'quench', severity: 'watch', title: 'It would crack', text: quench },
  'copper-salt': () => ({
    id: 'copper-salt',
    severity: 'watch',
    title: 'Copper salts are poisonous and kill water life',
    text: 'Gloves, goggles, no dust, nothing of the kitchen. Nothing of it to a drain or on soil: precipitate leftovers with soda, or on steel wool, and hand in the sludge.',
  }),
  'zinc-salt': () => ({
    id: 'zinc-salt',
    severity: 'watch',
    title: 'Zinc salts harm eyes and kill water life',
    text: 'Goggles, no food near. Nothing of it to a drain or on soil: precipitate leftovers with soda, filter, hand in the sludge.',
  }),
  caustic: ({ products }) => {
    const base = products.find(({ substanceId, pct }) => classesOf(substanceId, pct).has('alkali_strong'));
    if (!base) return undefined;
    const row = bandOf(base.substanceId, base.pct) ?? hazardsOf(base.substanceId)[0];
    return {
      id: 'caustic',
      severity: 'stop',
      title: `Caustic: ${name(base.substanceId)}`,
      text: `Goggles, gloves, sleeves; it eats skin without pain at first, eyes within seconds. ${row?.firstAid ?? 'Rinse with water at once, 20 minutes.'}`,
    };
  },
  'molten-alkali': () => ({
    id: 'molten-alkali',
    severity: 'stop',
    title: 'Molten alkali blinds and burns to the bone',
    text: 'Face shield over goggles, leather gloves, outdoors, a tray of dry sand under it. Iron, steel or nickel crucible: never glass, porcelain, aluminium or zinc. Not a drop of water near the melt; never alone.',
  }),
  peroxide: () => ({
    id: 'peroxide',
    severity: 'watch',
    title: 'Peroxide heats and froths as it reacts',
    text: 'Spoon by spoon into the stirred, cool liquid, the vessel open and less than half full. No acetone anywhere near it, now or at the rinse.',
  }),
  label: () => ({
    id: 'label',
    severity: 'watch',
    title: 'Label before you leave it',
    text: 'Name, strength, date and hazard, on the container itself. Out of reach of children; never in a food or drink bottle.',
  }),
  law: (facts) => {
    const notes = lawNotes(facts);
    if (notes.length === 0) return undefined;
    return {
      id: 'law',
      severity: 'watch',
      title: facts.country ? `Restricted in the ${countryRows[facts.country].name}` : 'Restricted in some countries',
      text: `${notes.join('; ')}. ${LAW_CHANGES}: check your local code before you buy, keep, make or use it.`,
    };
  },
};

function lawNotes({ products, made, country, distils = false }: CautionFacts): readonly string[] {
  const questions: readonly LawQuestion[] = [
    ...products.map(({ substanceId, pct }) => ({ substanceId, pct, deed: 'have' as const })),
    ...(made
      ? [
          { ...made, deed: 'make' as const },
          { ...made, deed: 'have' as const },
        ]
      : []),
    ...(distils ? products.map(({ substanceId }) => ({ substanceId, deed: 'distil' as const })) : []),
    ...(distils ? [{ substanceId: '', deed: 'apparatus' as const }] : []),
  ];
  if (country === undefined) {
    const unchosen = lawUnchosen(questions);
    return unchosen === '' ? [] : [unchosen];
  }
  const said = new Map<string, { readonly binds: boolean; readonly text: string }>();
  for (const question of questions)
    for (const { id, binds, sentence } of lawOn(question, country)) {
      const of = question.substanceId === '' ? 'the still' : name(question.substanceId);
      if (!said.has(id)) said.set(id, { binds, text: `${of}, ${sentence}` });
    }
  const all = [...said.values()].sort((a, b) => Number(b.binds) - Number(a.binds)).map(({ text }) => text);
  // One rule is read; that there are more is said, and they stand with the bottle.
  const [first, ...more] = all;
  if (first === undefined || more.length === 0) return all;
  return [first, `${more.length} more ${more.length === 1 ? 'rule stands' : 'rules stand'} with the bottles`];
}

/** A caution for these facts; undefined where it does not apply. */
export function cautionFor(id: CautionId, facts: CautionFacts): Caution | undefined {
  return rules[id](facts);
}

function strongest(acids: CautionFacts['acids']) {
  return [...acids].sort((a, b) => b.pct - a.pct)[0];
}

function name(substanceId: string): string {
  return substanceById(substanceId)?.name ?? substanceId;
}
