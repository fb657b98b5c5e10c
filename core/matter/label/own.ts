import { checkedDescription, describedId, refusedFormula, type Substance, substanceById } from '#matter/substance';
import type { Claims } from './claims.ts';
import { readingOf } from './read-substance.ts';

/** A formula as chemists write it: begins with a capital, and holds a number or three elements at least. */
const FORMULA = /(?<![\p{L}\p{N}])(?=[A-Z([])[A-Za-z0-9()[\].·]{3,60}(?![\p{L}\p{N}])/gu;

/** A substance that no record holds, but whose label gives its name and its formula. */
export function ownIn(claims: Claims): Substance | undefined {
  for (const match of claims.free(FORMULA)) {
    const formula = match[0].replace(/[.·]$/, '');
    if (refusedFormula(formula)) continue;
    if (!/\d/.test(formula) && (formula.match(/[A-Z]/g) ?? []).length < 3) continue;
    const name = claims.leftOver().replace(match[0], ' ').replace(/\s+/g, ' ').trim();
    const form = /\bliquid\b/i.test(claims.typed) ? 'liquid' : 'solid';
    const said = checkedDescription({
      name: name.length < 2 ? formula : name.slice(0, 60),
      formula,
      form,
      gPerMl: null,
      gPer100gWater: null,
      meltsC: null,
      hazards: '',
    });
    const substance = said.ok ? substanceById(describedId(said.value)) : undefined;
    if (!substance) continue;
    claims.claim('substance', { index: match.index, 0: formula }, readingOf(substance));
    return substance;
  }
  return undefined;
}
