import { indicators } from '#matter/data';
import { substanceById } from '#matter/substance';
import type { Pair, Sight, TitrationMethod } from '../method.ts';
import { acidsToEnd, basesToEnd, type ToEnd } from './acids-and-bases.ts';

/** Acids and bases strong enough to stand in the burette. */
const STRONG_BASES = ['sodium-hydroxide', 'potassium-hydroxide'];
const STRONG_ACIDS = ['hydrochloric-acid', 'sulfuric-acid', 'nitric-acid'];

const pairsOf = (flask: readonly ToEnd[], burette: readonly string[], others: readonly ToEnd[]): Pair[] =>
  flask.flatMap(({ species, protons, indicator, reaction }) =>
    burette.map((each) => ({
      flask: species,
      burette: each,
      ratio: (others.find((other) => other.species === each)?.protons ?? 1) / protons,
      reaction,
      indicator,
    })),
  );

/** Acid by alkali and alkali by acid, to a colour: direct. A carbonate is boiled near its end, since its gas holds the pH up. */
export const acidBase: TitrationMethod = {
  is: 'titration',
  id: 'acid-base',
  title: 'acid and base, to a colour',
  pairs: [...pairsOf(acidsToEnd, STRONG_BASES, basesToEnd), ...pairsOf(basesToEnd, STRONG_ACIDS, acidsToEnd)],
  steps: (pair) => [
    'Weigh {sample} into the flask and bring it to about 50 mL with boiled, cooled water.',
    `Add ${doseOf(pair.indicator)}.`,
    isCarbonate(pair.flask)
      ? 'Titrate to the first change, boil two minutes to drive out the gas, cool, and go on by drops.'
      : 'Swirl all the while; by drops once the colour lingers.',
  ],
  sights: (pair) => sightsOf(pair),
  endSdMl: 0.03,
  besidesSd: 0.001,
  besides: 'carbon dioxide of the air',
  minutes: 40,
  usual: 0.1,
  cautions: ['Goggles: alkali blinds.', 'Never fill a pipette by mouth.'],
};

function isCarbonate(species: string): boolean {
  return /carbonate/.test(species);
}

export function doseOf(indicatorId: string): string {
  const row = indicators.find(({ id }) => id === indicatorId);
  return row ? `${row.dose} of ${row.name}`.replace(' per 50 mL of', ' of') : 'the indicator';
}

function sightsOf({ flask, indicator }: Pair): readonly [Sight, Sight, Sight, Sight] {
  const row = indicators.find(({ id }) => id === indicator);
  const rising = acidsToEnd.some(({ species }) => species === flask);
  const [from, to] = rising ? [row?.before ?? '', row?.after ?? ''] : [row?.after ?? '', row?.before ?? ''];
  const [before, after] = row?.tints ?? (['clear', 'clear'] as const);
  const [fromTint, toTint] = rising ? [before, after] : [after, before];
  const name = substanceById(flask)?.name ?? flask;
  return [
    { says: `${from}: ${name} is left, go on`, tint: fromTint },
    { says: `${to} where it falls, gone on swirling: by drops`, tint: fromTint },
    { says: `first ${to} that stays half a minute: stop`, tint: toTint },
    { says: `strong ${to}: past it, an upper limit`, tint: toTint },
  ];
}
