import { itemAt, must } from '#base/lookup';
import { formatNumber } from '#base/units';
import { endSigns, supplyRows } from '#matter/data';
import { at, type CellPoint, type CellSetup, type CellState, constantOf, dissolves, dividerFor } from '#model/cell';

/** What to mind of a course, with its number and when: h from its beginning; null for from the start. */
export interface CellWarning {
  readonly id:
    | 'hot'
    | 'divider-hot'
    | 'anode-short'
    | 'anode-crowded'
    | 'leads'
    | 'supply-limit'
    | 'supply-flat'
    | 'few-volts'
    | 'not-done'
    | 'capacity'
    | 'no-current'
    | 'powder'
    | 'divider-life'
    | 'feed-spent'
    | 'salt-short'
    | 'water'
    | 'climbs'
    | 'lead'
    | 'soot'
    | 'chlorine'
    | 'bleach';
  readonly weight: 'stop' | 'caution' | 'note';
  readonly text: string;
  readonly atH: number | null;
}

export interface Minding {
  readonly setup: CellSetup;
  readonly start: CellState;
  readonly end: CellState;
  readonly points: readonly CellPoint[];
  /** A·h that are to pass; null where nothing was said. */
  readonly askedAh: number | null;
  /** °C that the vessel bears. */
  readonly vesselC: number;
  /** Share of its main salt that is left on either side, by hours. */
  readonly salts: readonly { readonly atH: number; readonly anode: number; readonly cathode: number }[];
}

type Say = (
  id: CellWarning['id'],
  weight: CellWarning['weight'],
  ...what: readonly [text: string, atH?: number | null]
) => void;

/** °C of a plastic tub that softens, where nothing else is said. */
export const TUB_C = 50;

/** °C from which it is said to boil. */
const BOILS_C = 99.5;
/** Of what a supply gives: less of it flows for want of volts. */
const HARDLY = 0.1;
/** Share of a charge that passes for all of it. */
const ENOUGH = 0.99;

const fixed = (value: number, digits = 1) => value.toFixed(digits);

/** Everything to mind of a course. */
export function cellWarnings({ setup, start, end, points, askedAh, vesselC, salts }: Minding): readonly CellWarning[] {
  const { gear } = setup;
  const found: CellWarning[] = [];
  const say: Say = (id, weight, ...[text, atH = null]) => found.push({ id, weight, text, atH });
  const first = points[0];
  const most = Math.max(0, ...points.map(({ amps }) => amps));
  const hoursOf = (holds: (point: CellPoint) => boolean) => {
    const point = points.find(holds);
    return point ? point.seconds / 3600 : null;
  };
  if (!first || most <= 0)
    return [
      {
        id: 'no-current',
        weight: 'stop',
        text: 'No current flows: more volts than the reactions themselves take, salt on both sides, all contacts closed.',
        atH: null,
      },
    ];
  const hottest = Math.max(...points.map(({ tempC }) => tempC));
  const hotAt = hoursOf(({ tempC }) => tempC > vesselC);
  if (hotAt !== null)
    say(
      'hot',
      'stop',
      `${hottest >= BOILS_C ? 'It boils' : `It reaches ${fixed(hottest, 0)} °C`}; the vessel bears ${fixed(vesselC, 0)}. Fewer volts, or a larger vessel.`,
      hotAt,
    );
  const divider = dividerFor(setup.divider);
  const dividerAt = divider ? hoursOf(({ tempC }) => tempC > divider.ceilingC) : null;
  if (divider && dividerAt !== null)
    say(
      'divider-hot',
      'stop',
      `It passes ${divider.ceilingC} °C, which ${divider.kind} does not bear. Less current.`,
      dividerAt,
    );
  anodeWarnings({ setup, start, end, points }, say, most);
  const bears = leadBears(gear.leadMm2);
  if (most > bears)
    say(
      'leads',
      'stop',
      `Leads of ${gear.leadMm2} mm² bear about ${fixed(bears)} A; ${fixed(most)} A flow. Thicker ones, and clips that do not warm.`,
    );
  const { supply } = gear;
  if (supply.kind === 'wall adapter' && points.some(({ amps }) => amps >= supply.amps - 1e-6))
    say(
      'supply-limit',
      'caution',
      `The cell would take more than the adapter’s ${supply.amps} A: it switches off and on again. A lamp or a resistor in series, or less area.`,
      hoursOf(({ amps }) => amps >= supply.amps - 1e-6),
    );
  if (most < HARDLY * supply.amps)
    say(
      'few-volts',
      'caution',
      `At ${formatNumber(supply.volts, 2)} V no more than ${formatNumber(most, 2)} A flow, of the ${formatNumber(supply.amps, 2)} A it can give: more volts, more area or a smaller gap.`,
    );
  if (askedAh !== null && end.coulombs < 3600 * askedAh * ENOUGH)
    say(
      'not-done',
      'caution',
      `After ${formatNumber(end.seconds / 3600, 2)} h ${formatNumber(end.coulombs / 3600, 2)} of the ${formatNumber(askedAh, 3)} A·h have passed: with this supply, salt and anode it is not done by then.`,
    );
  if (supply.kind === 'battery' && supply.ampHours === undefined)
    say('capacity', 'caution', 'How many A·h the batteries hold is not known: how long they last is not said.');
  if (supply.kind === 'battery' && supply.ampHours !== undefined && end.usedAh >= 0.98 * supply.ampHours)
    say(
      'supply-flat',
      'stop',
      `The batteries are empty after about ${fixed(hoursOf(({ ampHours }) => ampHours >= 0.98 * must(supply.ampHours, 'ampHours')) ?? 0)} h.`,
      hoursOf(({ amps }) => amps < 1e-4),
    );
  if (divider && end.dividerUsed > 0.6)
    say(
      'divider-life',
      end.dividerUsed > 1 ? 'stop' : 'caution',
      `Alkali takes about ${fixed(100 * end.dividerUsed, 0)} % of the life of ${divider.kind} (within a factor of three): look whether it shrinks, and stop before the sides mix.`,
    );
  if (divider) saltWarnings({ setup, salts }, say);
  const water = end.evaporatedG;
  const all = first.mlA + first.mlK;
  if (water > 0.08 * all)
    say('water', 'note', `About ${fixed(water, 0)} g of water go by evaporating: water to the mark.`);
  const climb = most / Math.max(1e-4, first.amps);
  if (climb > 1.6)
    say(
      'climbs',
      'note',
      `It starts at ${fixed(first.amps, 2)} A and climbs to ${fixed(most, 2)}: lower the voltage then.`,
      hoursOf(({ amps }) => amps > 1.5 * first.amps),
    );
  return found;
}

/** Of a side’s salt, below this it is short. */
const SHORT = 0.2;

function saltWarnings({ setup, salts }: Pick<Minding, 'setup' | 'salts'>, say: Say): void {
  const short = (side: 'anode' | 'cathode') => salts.find((each) => each[side] < SHORT);
  const cathode = short('cathode');
  if (cathode)
    say(
      'salt-short',
      'caution',
      'Salt runs short on the cathode side, and the current falls with it: top it up before.',
      cathode.atH,
    );
  const anode = dissolves(setup.anode) ? undefined : short('anode');
  if (anode)
    say(
      'feed-spent',
      'caution',
      'The feed on the anode’s side is nearly used up: its pH falls and the current drops. Top it up before.',
      anode.atH,
    );
}

/** mA/cm² that are good for an anode, as the table calls them. */
const GOOD: Readonly<Record<string, string>> & { readonly copper: string; readonly other: string } = {
  copper: 'good current density, copper anode',
  carbon: 'good current density, graphite anode',
  other: 'good current density, PbO2 or MMO anode',
};

function anodeWarnings(
  { setup, start, end, points }: Pick<Minding, 'setup' | 'start' | 'end' | 'points'>,
  say: Say,
  most: number,
): void {
  const { gear, anode, cathode } = setup;
  const last = points.at(-1);
  const dissolving = dissolves(anode);
  if (dissolving && start.anodeMol !== null && end.wornMol >= 0.7 * start.anodeMol) {
    const stopped = points.find(({ amps, seconds }) => amps < 1e-4 && seconds > 0);
    say(
      'anode-short',
      stopped ? 'stop' : 'caution',
      `${fixed((100 * end.wornMol) / start.anodeMol, 0)} % of the metal under the liquid goes: it parts at the surface first. More metal, or hang it deeper in time.`,
      stopped ? stopped.seconds / 3600 : null,
    );
  }
  const density = (1000 * most) / gear.anodeCm2;
  const good = constantOf(dissolving ? GOOD.copper : (GOOD[anode] ?? GOOD.other));
  if (density > good.high)
    say(
      'anode-crowded',
      'caution',
      `${fixed(density, 0)} mA/cm² is much for this anode (${good.low} to ${good.high} is good): ${dissolving ? 'a dark film, powder, oxygen' : 'it wears faster'}. More area or less current.`,
    );
  const plating = points.some(({ copperK }) => copperK > 0.01) && setup.divider === 'none';
  const perPlate = (1000 * (last?.amps ?? 0)) / gear.cathodeCm2;
  if (plating && last && last.copperK < 0.05 && perPlate > 2)
    say(
      'powder',
      'note',
      'The last copper comes as a loose black powder beside hydrogen: turn the current down with the colour.',
    );
  if (anode === 'lead dioxide')
    say(
      'lead',
      'caution',
      'Lead dioxide leaves lead in the liquid: about 1 mg for each A·h (0.2 to 5). Nothing for skin or food; lead waste.',
    );
  const chloride = start.a[at['Cl-']] > 0.01 && !dissolving;
  if (chloride && setup.divider !== 'none')
    say(
      'chlorine',
      'stop',
      'Chlorine comes at the anode: outdoors, led through an absorber, never under one lid with the hydrogen.',
    );
  if (chloride && setup.divider === 'none')
    say(
      'bleach',
      'caution',
      'Without a divider chlorine and hydroxide become bleach at once, and the two are hard to part: no way to lye.',
    );
  if (anode === 'carbon')
    say('soot', 'note', 'Carbon sheds soot: let it settle, then filter through glass wool or fine paper.');
  if (cathode === 'titanium' && plating) say('powder', 'note', 'Copper peels off titanium by itself.');
}

/** Leads by mm², A. */
const LEADS = supplyRows
  .filter(({ unit }) => unit === 'A')
  .map(({ id, value }) => [Number.parseFloat(id), value ?? 0] as const)
  .sort((a, b) => a[0] - b[0]);

/** A that a copper lead bears in free air: of the next thinner row; in proportion under the thinnest. */
export function leadBears(mm2: number): number {
  const [thin, amps] = itemAt(LEADS, 0);
  return LEADS.filter(([each]) => each <= mm2 + 1e-9).at(-1)?.[1] ?? (amps * mm2) / thin;
}

const END_SIGNS: Readonly<Record<string, string>> = {
  'sulfuric-acid': 'copper sulfate to sulfuric acid',
  'copper-sulfate': 'copper anode and magnesium sulfate',
  'sodium-hydroxide': 'bicarbonate divided cell',
};

/** What is seen when a cell is done, by what it makes. */
export function endSignFor(makes: string): string {
  const row = endSigns.find(({ id }) => id === END_SIGNS[makes]);
  return row ? `${row.says}.` : 'No sign of its own is held: go by the charge, and by a strength or a weight.';
}
