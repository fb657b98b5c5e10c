import { derive, type Figure } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { type Entry, type Reduction, weighingSd } from './method.ts';

/** How well a titre is read: the balance by mass, the burette's mark by volume. */
export function titreEntry(name: string, label: string): Entry {
  return { name, label, unit: 'titre', least: 0, most: 5000, sd: (bench) => weighingSd(bench) };
}

/** Moles in so much of a known solution: by mass as it is, by volume where its density is held. */
export function titrantMol(
  { known, byMass }: Pick<Reduction, 'known' | 'byMass'>,
  which: number,
  titre: Figure,
): Result<Figure> {
  const of = known[which];
  if (!of) return fail('missing-part', 'Choose the solution of known strength first.', { field: 'known' });
  const strength = byMass ? of.molPerG : of.molPerMl;
  if (!strength)
    return fail('no-density', `${of.content.substance.name} is held by mass alone: weigh it, or give its density.`, {
      field: 'known',
    });
  const unit = byMass ? 'g' : 'mL';
  return ok(
    derive(
      { symbol: 'n', name: `${of.content.substance.name} used`, unit: 'mol' },
      `${byMass ? 'm' : 'V'} × c`,
      { [byMass ? 'm' : 'V']: { ...titre, unit }, c: strength },
      (x) => (x.m ?? x.V ?? Number.NaN) * (x.c ?? Number.NaN),
    ),
  );
}
