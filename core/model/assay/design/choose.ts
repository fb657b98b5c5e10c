import { fail, ok, type Result } from '#base/problem';
import { type Bench, KITCHEN_GEAR } from '#matter/gear';
import { type Content, contentOf, type ShelfBottle, type Shelved } from '#matter/stock';
import { substanceById } from '#matter/substance';
import type { MeasuredMethod, Method, TitrationMethod } from '#model/method';
import { isStandard, methods, standardOf } from '#model/method';
import type { AssayPlan } from '../record/plan.ts';
import { type Design, designed, REPLICATES } from './design.ts';

export interface Asked {
  readonly bottle: Shelved;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  readonly day: string;
  /** ± % of the strength that is wanted. */
  readonly tolerancePct: number;
}

/** A method for a bottle: what it can reach, what it takes, or what is wanting. */
export interface Choice {
  readonly methodId: string;
  readonly title: string;
  readonly reaction: string;
  /** Null while something is wanting. */
  readonly design: Design | null;
  /** “potassium permanganate of known strength”; empty when all is there. */
  readonly wanting: readonly string[];
  readonly minutes: number;
  /** What three replicates use up, in the money of the labels; null where a bottle has no price or size. */
  readonly cost: number | null;
  /** How the standard that is weighed is prepared; empty where none is. */
  readonly preparation: string;
  readonly besides: string;
  readonly cautions: readonly string[];
  readonly steps: readonly string[];
}

/**
 * Ways to find a bottle's strength, best first: those that can be begun now before the others, those that reach the tolerance before
 * those that do not, then by how well they do and how long they take.
 */
export function methodsFor(asked: Asked): Result<readonly Choice[]> {
  const content = contentOf(asked.bottle, asked.bench.tempC);
  if (!content.ok) return content;
  if (!(content.value.w.value >= WEAKEST_PCT))
    return fail(
      'out-of-range',
      'Its label says next to nothing: say about how strong it may be, so that a sample can be planned.',
      { field: 'strength' },
    );
  const choices = methods.flatMap((method) =>
    method.is === 'titration' ? titrations(method, asked, content.value) : measured(method, asked, content.value),
  );
  return ok(choices.sort((a, b) => rank(a, asked.tolerancePct) - rank(b, asked.tolerancePct)));
}

/** Weaker than this nothing is titrated out of a bottle. */
const WEAKEST_PCT = 1e-5;

function rank({ design, wanting, minutes }: Choice, tolerancePct: number): number {
  if (!design || wanting.length > 0) return 1e6 + wanting.length * 1000 + minutes;
  const misses = design.reachesPct > tolerancePct;
  // Ten minutes more are worth a tenth of what is reached.
  return (misses ? 1e4 : 0) + design.reachesPct * (1 + minutes / 100);
}

function titrations(method: TitrationMethod, asked: Asked, { substance }: Content): Choice[] {
  const direct = method.pairs.filter(({ flask }) => flask === substance.species);
  const turned = method.pairs.filter(({ burette, flask }) => burette === substance.species && isStandard(flask));
  return [
    ...aSide(method, asked, { turned: false, species: direct.map(({ burette }) => burette) }),
    ...aSide(method, asked, { turned: true, species: turned.map(({ flask }) => flask) }),
  ];
}

interface Side {
  readonly turned: boolean;
  /** What the known solution or standard may be. */
  readonly species: readonly string[];
}

function aSide(method: TitrationMethod, asked: Asked, { turned, species }: Side): Choice[] {
  const [first] = species;
  if (first === undefined) return [];
  const gear = asked.bench.gear ?? KITCHEN_GEAR;
  const ways = [...(gear.includes('burette') ? [false] : []), true];
  return ways.flatMap((byMass): Choice[] => {
    const suffix = byMass ? 'weighed' : 'by burette';
    const designs = knownBottles(asked, species, turned).flatMap((bottle) => {
      const design = designed(draft(asked, method, { turned, byMass, known: [bottle] }), method);
      return design.ok ? [design.value] : [];
    });
    const [best] = designs.sort((a, b) => a.reachesPct - b.reachesPct);
    const pair = method.pairs.find(
      (each) =>
        each[turned ? 'flask' : 'burette'] === (best ? speciesOf(best) : first) &&
        each[turned ? 'burette' : 'flask'] === substanceOf(asked),
    );
    if (!best && !byMass) return [];
    const choice = {
      ...shared(method),
      title: `${method.title}${turned ? ', against a weighed standard' : ''}; ${suffix}`,
      reaction: pair?.reaction ?? '',
      steps: pair ? method.steps(pair) : [],
    };
    return best
      ? [{ ...choice, design: best, wanting: [], cost: costOf(best), preparation: turned ? preparationOf(best) : '' }]
      : [{ ...choice, design: null, wanting: [wantingText(species, turned)] }];
  });
}

function speciesOf({ plan }: Design): string | undefined {
  const id = plan.known[0]?.card.substanceId;
  return id === undefined ? undefined : substanceById(id)?.species;
}

function substanceOf({ bottle }: Asked): string | undefined {
  return substanceById(bottle.card.substanceId)?.species;
}

function wantingText(species: readonly string[], turned: boolean): string {
  const names = species.slice(0, 3).map((id) => substanceById(id)?.name ?? id);
  return turned ? `a pure ${names.join(', or ')} to weigh` : `${names.join(' or ')} of known strength`;
}

function measured(method: MeasuredMethod, asked: Asked, content: Content): Choice[] {
  const why = method.suits(content, asked.bench);
  if (why !== null) return [];
  const gear = asked.bench.gear ?? KITCHEN_GEAR;
  const lacking = method.needs.filter((each) => !gear.includes(each)).map((each) => `a ${each}`);
  const known: Shelved[] = [];
  for (const species of method.known) {
    const [bottle] = knownBottles(asked, species, false);
    if (bottle) known.push(bottle);
    else lacking.push(wantingText(species, false));
  }
  const choice = { ...shared(method), title: method.title, reaction: method.reaction(content), steps: method.steps };
  if (lacking.length > 0) return [{ ...choice, design: null, wanting: lacking }];
  const design = designed(draft(asked, method, { turned: false, byMass: true, known }), method);
  return design.ok ? [{ ...choice, design: design.value, wanting: [], cost: costOf(design.value) }] : [];
}

function shared(method: Method) {
  return {
    cost: null,
    preparation: '',
    methodId: method.id,
    minutes: method.minutes,
    besides: method.besides,
    cautions: method.cautions,
  };
}

/** Three samples and three titres, at what their bottles cost a gram. */
function costOf({ plan, titre }: Design): number | null {
  const sampleG = plan.dilution?.weighG ?? REPLICATES * plan.sampleG;
  const [known] = plan.known;
  const [inFlask, inBurette] = plan.turned ? [known, plan.bottle] : [plan.bottle, known];
  const parts = [priceOf(inFlask, sampleG), titre === null ? 0 : priceOf(inBurette, REPLICATES * titre)];
  return parts.includes(null) ? null : parts.reduce<number>((sum, each) => sum + (each ?? 0), 0);
}

function priceOf(bottle: Shelved | undefined, grams: number): number | null {
  const { price, size } = bottle?.card ?? { price: null, size: null };
  // A millilitre counts as a gram: this is money, not chemistry.
  return price === null || size === null ? null : (price * grams) / size.value;
}

function preparationOf({ plan }: Design): string {
  const row = standardOf(substanceById(plan.known[0]?.card.substanceId ?? '')?.species ?? '');
  if (!row) return '';
  const pure = row.homePct ? ` As sold ${row.homePct[0]} to ${row.homePct[1]} %.` : '';
  return `${row.name}: ${row.preparation}.${pure}${row.note ? ` ${row.note}.` : ''}`;
}

/** Strengths above which a bottle is no titrant, mass %: it is diluted first. */
const TOO_STRONG_PCT = 20;

/** Bottles that may stand for what is known: titrants in solution, standards as solids, those measured first, then the purer. */
function knownBottles({ shelf, bottle }: Asked, species: readonly string[], weighed: boolean): Shelved[] {
  return shelf
    .filter(
      ({ id, archived, card }) =>
        !archived && id !== bottle.id && species.includes(substanceById(card.substanceId)?.species ?? ''),
    )
    .filter((each) => {
      const content = contentOf(each, 20);
      if (!content.ok || content.value.leftG?.value === 0) return false;
      const { dissolved, w } = content.value;
      return weighed ? !dissolved && w.value > 90 : dissolved && w.value > 0 && w.value <= TOO_STRONG_PCT;
    })
    .map(({ id, card, usedG }) => ({ id, card, usedG }));
}

interface Way {
  readonly turned: boolean;
  readonly byMass: boolean;
  readonly known: readonly Shelved[];
}

function draft({ bottle, bench, day, tolerancePct }: Asked, method: Method, { turned, byMass, known }: Way): AssayPlan {
  return {
    id: `assay_draft-${method.id}`,
    bottle,
    methodId: method.id,
    turned,
    known,
    byMass,
    sampleG: 1,
    dilution: null,
    indicator: null,
    tolerancePct,
    bench,
    day,
  };
}
