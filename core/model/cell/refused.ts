import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import type { AnodeMaterial, CathodeMaterial, DividerKind, Supply } from '#matter/gear';
import { conductivity } from './conductivity.ts';
import { type Amounts, concentrations } from './liquid.ts';
import { at } from './species.ts';

export interface CellBuilt {
  readonly anode: AnodeMaterial;
  readonly cathode: CathodeMaterial;
  readonly divider: DividerKind;
  readonly supply: Supply;
  readonly anolyte: Amounts;
  readonly catholyte: Amounts | null;
}

/** Whether a cell is run here as it is built: one sentence of what is wrong, and what would be right. */
export function admitCell({ anode, divider, supply, anolyte, catholyte }: CellBuilt): Result<true> {
  if (supply.kind === 'alternating')
    return fail(
      'out-of-range',
      'This supply gives alternating current: it makes nothing here but heat and danger. A bench supply, a plug-in adapter marked DC (⎓) or batteries give direct current.',
      { field: 'gear.supply.kind' },
    );
  const a = concentrations(anolyte);
  const chloride = a[at['Cl-']] > 0.01;
  const acid = a[at['H+']] > 0.01 || a[at['Cu2+']] > 0.001 || a[at['Zn2+']] > 0.001;
  // What survives on the anode’s side of a sulfate gives acid there, however neutral it starts.
  const turnsAcid = a[at['HCO3-']] + a[at['CO3 2-']] + a[at['OH-']] < ALKALINE;
  const attacks = chloride || a[at['NO3-']] > 0.01 || a[at['CH3COO-']] > 0.01;
  const wrong = wrongAnode(anode, { chloride, acid: acid || turnsAcid, attacks });
  if (wrong) return fail('beyond-scope', wrong, { field: 'anode' });
  if (divider === 'gelatin gel' && (catholyte ? concentrations(catholyte)[at['OH-']] > 0.1 : false))
    return fail('out-of-range', 'Gelatin dissolves in alkali: take agar.', { field: 'divider' });
  for (const [side, n] of [
    ['anode', anolyte],
    ['cathode', catholyte],
  ] as const) {
    if (n && conductivity(n, 20) < LEAST)
      return fail(
        'out-of-range',
        `The ${side} side conducts ${formatNumber(conductivity(n, 20), 2)} mS/cm: hardly anything flows. Salt it: 0.1 mol/L or more.`,
        { field: side === 'anode' ? 'anolyte' : 'catholyte' },
      );
  }
  return ok(true);
}

/** mol/L of carbonate or hydroxide from which an anode’s acid is taken up. */
const ALKALINE = 0.01;

/** mS/cm below which a small cell hardly runs. */
const LEAST = 0.3;

interface Before {
  readonly chloride: boolean;
  readonly acid: boolean;
  readonly attacks: boolean;
}

/** Why an anode does not go before a liquid; null where it does. */
function wrongAnode(anode: AnodeMaterial, { chloride, acid, attacks }: Before): string | null {
  switch (anode) {
    case 'stainless steel':
      return chloride || acid
        ? 'Stainless steel as an anode dissolves here, and gives off chromium(VI), which is poisonous: the liquid goes yellow. Take carbon, platinised or coated titanium; in alkali or carbonate nickel.'
        : null;
    case 'nickel':
      return chloride || acid
        ? 'Nickel dissolves as an anode in chloride, and where the liquid turns acid. It stands in alkali and carbonate; here take carbon or coated titanium.'
        : null;
    case 'lead dioxide':
      return attacks
        ? 'Chloride, nitrate and acetate attack lead dioxide and bring lead into the liquid. It stands in sulfate only.'
        : null;
    default:
      return null;
  }
}
