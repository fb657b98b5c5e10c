import { given } from '#base/figure';
import { formatNumber } from '#base/units';
import { clashesOf, classesOf, isOpen, nameOf, type Present } from '#matter/guard';
import { rowsFor } from '#matter/hazard';
import type { ShelfBottle } from '#matter/stock';
import { molarMass, substanceById } from '#matter/substance';
import { emptyContents, withAmount } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import type { Sheet } from '#run/sheet';
import { demandOf } from './demand.ts';
import { needsOf, pourFor } from './neutraliser.ts';

/** Something to see to before a batch is begun. */
export interface Preparation {
  readonly id: string;
  readonly says: string;
  /** Why, in a few words; empty where it needs none. */
  readonly why: string;
}

/** A vessel that was used, by which batch, and what it held last. */
export interface UsedVessel {
  readonly vessel: string;
  readonly number: number;
  readonly present: readonly Present[];
}

/** The vessel of this batch, where another held something in it last: rinsed, all the more where the two would clash. */
function rinsed({ vessel }: Sheet, handled: readonly Present[], before: readonly UsedVessel[]): Preparation | null {
  const name = vessel?.vessel.name;
  const last = before.find((each) => each.vessel === name);
  if (!name || !last || last.present.length === 0) return null;
  const clash = handled.flatMap((each) => clashesOf(last.present, each)).find(({ severity }) => severity !== 'caution');
  const held = last.present.slice(0, 2).map(nameOf).join(' and ');
  return {
    id: 'vessel',
    says: `The ${name} rinsed with water until nothing is left: it last held ${held} (batch ${last.number}).`,
    why: clash ? `With what goes in now: ${clash.releases}.` : '',
  };
}

/** What to see to before one starts: of this batch, in this place, from this shelf. */
export function preparations(
  { plan: { bench, day }, contents, steps }: PlanFacts,
  sheet: Sheet,
  { shelf, before }: { readonly shelf: readonly ShelfBottle[]; readonly before: readonly UsedVessel[] },
): readonly Preparation[] {
  const handled = sheet.additions.flatMap(({ role, dose }) => {
    const content = contents[role];
    if (!content) return [];
    const pct = Math.min(100, content.w.value);
    return [{ substanceId: content.substance.id, pct, g: (dose.mass.value * pct) / 100 }];
  });
  const codes = new Set(handled.flatMap(rowsFor).map(({ code }) => code));
  const gas = sheet.gases.some(({ id }) => id !== 'carbon-dioxide');
  const burns = sheet.gases.some(({ id }) => id === 'hydrogen') || codes.has('H225') || codes.has('H226');
  const corrosive = codes.has('H314') || codes.has('H318');
  const outdoors = steps.some(({ where }) => where === 'outdoors');
  const air = isOpen({ roomM3: bench.roomM3, kind: bench.air ?? 'closed' });
  const list: (Preparation | null)[] = [
    {
      id: 'where',
      says: whereText(outdoors, air),
      why: gas ? 'gas comes off' : '',
    },
    burns
      ? { id: 'flames', says: 'Flames, pilot lights and switches off within 3 m.', why: 'what comes off can be lit' }
      : null,
    burns
      ? {
          id: 'extinguisher',
          says: 'Powder or CO₂ extinguisher and a lid in reach.',
          why: 'for liquids and gas; no water on burning metal',
        }
      : null,
    corrosive
      ? { id: 'eyes', says: 'Eye bottle or a running tap in reach, 20 minutes of water.', why: 'it can cost an eye' }
      : null,
    { id: 'tray', says: 'Tray under the vessel, cloth and bucket of water beside it.', why: '' },
    rinsed(sheet, handled, before),
    ...neutralisers(handled, { bench, day, shelf }),
    {
      id: 'told',
      says: 'Somebody knows what you do and when you will be done.',
      why: gas || corrosive ? 'not alone with this' : '',
    },
    { id: 'others', says: 'Children and animals are out; no food, no cups.', why: '' },
  ];
  return list.flatMap((each) => each ?? []);
}

function whereText(outdoors: boolean, open: boolean): string {
  if (outdoors) return 'The place outdoors is set up, wind at your back.';
  return open ? 'Wind at your back, or the hood running.' : 'Window or door open, the fan blowing out.';
}

type Handled = Present & { readonly g: number };

/** The neutraliser of everything that goes in, measured out from this shelf. */
function neutralisers(
  handled: readonly Handled[],
  setting: { readonly bench: PlanFacts['bench']; readonly day: string; readonly shelf: readonly ShelfBottle[] },
): readonly Preparation[] {
  const biting = handled.filter(({ substanceId, pct }) => {
    const classes = classesOf(substanceId, pct);
    return ['acid_strong', 'acid_weak', 'alkali_strong', 'hypochlorite', 'halogen', 'permanganate'].some((each) =>
      classes.has(each),
    );
  });
  return biting.flatMap(({ substanceId, g }): readonly Preparation[] => {
    const of = withGrams(substanceId, g);
    return needsOf(demandOf(of)).flatMap(({ against, mol }): readonly Preparation[] => {
      const pour = pourFor(against, mol, setting);
      if (!pour) return [{ id: `${substanceId} ${against}`, says: WITHOUT[against], why: 'none stands on your shelf' }];
      const scoops = pour.measures ? ` (${pour.measures.count} × ${pour.measures.name})` : '';
      return [
        {
          id: `${substanceId} ${against}`,
          says: `${formatNumber(pour.grams, 2)} g of ${pour.name}${scoops} measured out in a tub beside it.`,
          why: pour.enough
            ? 'for all that goes in, a quarter to spare'
            : `only ${formatNumber(pour.leftG ?? 0, 2)} g stand on the shelf: make less at a time`,
        },
      ];
    });
  });
}

const WITHOUT = {
  acid: 'Baking soda or washing soda to strew on acid.',
  base: 'Citric acid or vinegar for the bench, never for skin or eyes.',
  hypochlorite: 'Sodium sulfite or thiosulfate, dissolved.',
  halogen: 'Thiosulfate or sulfite.',
  permanganate: 'Sodium sulfite or vitamin C.',
} as const;

function withGrams(substanceId: string, g: number) {
  const substance = substanceById(substanceId);
  if (!substance) return emptyContents;
  const n = given(
    { symbol: 'n', name: substance.name, unit: 'mol' },
    g / molarMass(substance.formula),
    'of what goes in',
  );
  return withAmount(emptyContents, 'aqueous', substance.id, n);
}
