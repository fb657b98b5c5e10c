import { formatNumber } from '#base/units';

/** What the next portion is computed from. Volumes mL, masses g, temperatures °C, times minutes. */
export interface PortionFacts {
  /** Still to go in by the sheet, or null when it is added to an endpoint with nothing left to compare. */
  readonly leftG: number;
  readonly plannedG: number;
  readonly unreactedG: number;
  readonly gasMlPerG: number;
  readonly kJPerG: number | null;
  readonly halfLifeMin: number;
  readonly foamPerGas: number;
  /** Foam that stands now, as read; null when it was not. */
  readonly foamNowMl: number | null;
  readonly capacityMl: number;
  readonly liquidMl: number;
  readonly heatCapacityJPerK: number;
  readonly tempC: number;
  readonly airC: number;
  readonly ceilingC: number;
  /** Air space for the gas, m³, or null outdoors; and the volume % of it that is still well. */
  readonly roomM3: number | null;
  readonly gasLimitPct: number;
  /** Undissolved solid, g. */
  readonly solidG: number;
  readonly stepG: number;
}

export interface PortionAdvice {
  readonly grams: number;
  readonly limitedBy: 'foam' | 'heat' | 'gas' | 'evenness' | 'the dose' | 'nothing';
  /** Minutes to wait before it goes in; 0 for now. */
  readonly waitMin: number;
  readonly waitFor: 'foam' | 'heat' | 'what is in' | 'gas' | null;
  /** If all that is in and has not reacted did so at once. */
  readonly pending: {
    readonly grams: number;
    readonly riseK: number;
    readonly foamMl: number;
    readonly danger: boolean;
  };
  readonly warnings: readonly string[];
}

/** A vessel is full at 95 %: above it, foam runs over. */
const FULL = 0.95;
/** Foam halves in about 20 s once the gas is out (soda in acids, by eye). */
const FOAM_HALF_MIN = 1 / 3;
/** Heat an open beaker gives to still air, W/(m² K); between 10 and 20. */
const COOLING = 15;
/** A slurry with more than so much solid, g per 100 mL of liquid, no longer turns with a small stirrer: fresh carbonates hold ten times their weight of water. */
const THICK = 12;
/** No portion is more than this share of the dose: the last ones have to be small. */
const MOST = 0.2;

/**
 * The next portion of an addition: the most that this vessel's foam room, its ceiling and the air can take, of what is
 * left; and how long to wait for it. About: foam within a factor 2, cooling within a half.
 */
export function nextPortion(facts: PortionFacts): PortionAdvice {
  const { leftG, plannedG, capacityMl, liquidMl, foamPerGas, gasMlPerG, kJPerG, heatCapacityJPerK } = facts;
  // Gas that is slow to come lifts less foam: what comes within a minute.
  const quick = 1 - 2 ** (-1 / facts.halfLifeMin);
  const foamPerG = foamPerGas * gasMlPerG * quick;
  const freeMl = FULL * capacityMl - liquidMl;
  const pendingG = facts.unreactedG;
  // Less than half the smallest step is nothing that can be weighed out.
  const done = leftG < facts.stepG / 2;
  const kJ = Math.max(0, kJPerG ?? 0);
  const riseOf = (grams: number) => (1000 * kJ * grams) / Math.max(1, heatCapacityJPerK);
  const pending = {
    grams: pendingG,
    riseK: riseOf(pendingG),
    foamMl: foamPerGas * gasMlPerG * pendingG,
    danger: facts.tempC + riseOf(pendingG) > facts.ceilingC || foamPerGas * gasMlPerG * pendingG > Math.max(0, freeMl),
  };
  const foamNow = facts.foamNowMl ?? pendingG * foamPerG;
  const limits: [PortionAdvice['limitedBy'], number][] = [
    ['foam', foamPerG > 0 ? Math.max(0, freeMl) / foamPerG : Number.POSITIVE_INFINITY],
    [
      'heat',
      kJ > 0 ? (Math.max(0, facts.ceilingC - facts.airC) * heatCapacityJPerK) / (1000 * kJ) : Number.POSITIVE_INFINITY,
    ],
    ['gas', gasLimitG(facts)],
    ['evenness', Math.max(plannedG * MOST, facts.stepG)],
    ['the dose', leftG],
  ];
  const [limitedBy, most] = limits.reduce((a, b) => (b[1] < a[1] ? b : a));
  const grams = done ? 0 : neat(most, facts.stepG);
  const waits: [PortionAdvice['waitFor'], number][] = [
    ['foam', foamWait(foamNow + grams * foamPerG, freeMl, foamNow)],
    ['heat', heatWait(facts, riseOf(grams) + pending.riseK)],
    [
      'what is in',
      pending.danger ? facts.halfLifeMin * Math.log2(Math.max(1, pendingG / Math.max(grams, facts.stepG))) : 0,
    ],
  ];
  const [waitFor, waitMin] = waits.reduce((a, b) => (b[1] > a[1] ? b : a));
  return {
    grams,
    limitedBy: done ? 'nothing' : limitedBy,
    waitMin: Math.ceil(waitMin * 2) / 2,
    waitFor: waitMin > 0 ? waitFor : null,
    pending,
    warnings: warningsOf(facts, pending, freeMl, most),
  };
}

/** g whose gas, in a quarter of an hour, would bring the room to half its limit. */
function gasLimitG({ roomM3, gasMlPerG, gasLimitPct }: PortionFacts): number {
  if (roomM3 === null || gasMlPerG <= 0) return Number.POSITIVE_INFINITY;
  return (roomM3 * 1e6 * gasLimitPct) / 200 / gasMlPerG;
}

function foamWait(wantedMl: number, freeMl: number, foamNow: number): number {
  if (wantedMl <= freeMl || foamNow <= 0) return 0;
  const room = Math.max(freeMl * 0.2, freeMl - (wantedMl - foamNow));
  return foamNow <= room ? 0 : FOAM_HALF_MIN * Math.log2(foamNow / Math.max(1, room));
}

/** Minutes until the vessel has cooled enough to take the rise below its ceiling, by Newton's law; its side and top give heat. */
function heatWait({ tempC, airC, ceilingC, heatCapacityJPerK, liquidMl }: PortionFacts, riseK: number): number {
  const mustBe = ceilingC - riseK;
  if (tempC <= mustBe) return 0;
  // About as wide as high.
  const side = Math.cbrt(Math.max(1, liquidMl) * 1e-6 * (4 / Math.PI));
  const area = Math.PI * side * side * 1.25;
  const tauMin = heatCapacityJPerK / (COOLING * area) / 60;
  const ratio = (tempC - airC) / Math.max(0.5, mustBe - airC);
  return tauMin * Math.log(Math.max(1, ratio));
}

function warningsOf(
  facts: PortionFacts,
  pending: PortionAdvice['pending'],
  freeMl: number,
  most: number,
): readonly string[] {
  const said: string[] = [];
  if (facts.tempC > facts.ceilingC)
    said.push(
      `It is at ${formatNumber(facts.tempC, 3)} °C, above its ceiling of ${formatNumber(facts.ceilingC, 3)} °C: add nothing, cool it.`,
    );
  if (freeMl <= 0) said.push('The vessel is full: pour over into a larger one before the next portion.');
  else if (pending.danger && atOnce(pending) !== '')
    said.push(
      `${formatNumber(pending.grams, 2)} g have gone in without reacting: at once they would ${atOnce(pending)}. Stop and wait.`,
    );
  if (most < facts.stepG && facts.leftG > 0)
    said.push('Even the smallest weighable portion is too much for this vessel: take a larger one.');
  const thick = (100 * facts.solidG) / Math.max(1, facts.liquidMl);
  if (thick > THICK)
    said.push(
      `Thick: about ${formatNumber(thick, 2)} g of solid in 100 mL. ${formatNumber((facts.solidG / THICK) * 100 - facts.liquidMl, 2)} mL of water would let it stir.`,
    );
  return said;
}

/** What portions that have not reacted would do; what is too little to notice is not said. */
function atOnce({ riseK, foamMl }: PortionAdvice['pending']): string {
  const heat = riseK >= 0.5 ? [`warm it by ${formatNumber(riseK, 2)} K`] : [];
  const foam = foamMl >= 0.5 ? [`raise ${formatNumber(foamMl, 2)} mL of foam`] : [];
  return [...heat, ...foam].join(' and ');
}

/** Down to one or two figures, as one weighs by the spoon, but not below the balance's step. */
function neat(grams: number, stepG: number): number {
  if (!(grams > 0)) return 0;
  const size = 10 ** Math.floor(Math.log10(grams));
  const rounded = Math.floor((grams / size) * 2 + 1e-9) / 2;
  return Math.max(stepG, Number((rounded * size).toPrecision(2)));
}
