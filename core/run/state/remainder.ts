import { derive, type Figure } from '#base/figure';
import { total } from '#matter/vessel';
import type { Entries, Sheet } from '#run/sheet';
import type { AdditionLine } from '#run/technique';

/** What is still to go in of a role, since the batch was made larger. */
export interface Remainder {
  readonly step: string;
  readonly role: string;
  readonly name: string;
  readonly mass: Figure;
  /** mL, for what is measured by volume. */
  readonly volumeMl: number | null;
}

/** Less than this part of a dose is no remainder: a spoon is not nearer. */
const SLIP = 0.02;

/** After a batch was made larger: of each role that went in before, what is still to add. */
export function remaindersOf({ enlarged }: Entries, { additions, besides }: Sheet): readonly Remainder[] {
  if (enlarged === undefined) return [];
  return additions.flatMap((line): readonly Remainder[] => {
    const { step, role, name, dose, actual } = line;
    if (!actual) return [];
    const more = besides
      .filter(({ bottleId }) => bottleId !== null && bottleId === line.bottleId)
      .map(({ mass }) => mass);
    const mass = derive(
      { symbol: 'm', name: `${name} still to add`, unit: 'g' },
      'max(0; m₁ − m₀)',
      { 'm₁': dose.mass, 'm₀': total(`${name} in so far`, 'g', actual, ...more) },
      (x) => Math.max(0, x['m₁'] - x['m₀']),
    );
    if (mass.value < SLIP * dose.mass.value) return [];
    return [{ step, role, name, mass, volumeMl: volumeOf(line, mass.value) }];
  });
}

function volumeOf({ dose: { take, mass, volume } }: AdditionLine, grams: number): number | null {
  return take.unit === 'mL' && volume && mass.value > 0 ? (grams * volume.value) / mass.value : null;
}
