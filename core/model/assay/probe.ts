import {
  derivativeEnd,
  type EndPoint,
  fitCurve,
  granEnd,
  inOrder,
  slopesOf,
  type Titration,
} from '#matter/equilibrium';
import { titrationIf } from './flask.ts';
import type { Told } from './record/fold.ts';
import type { Setting } from './reduce/reduce.ts';

/** What a pH probe's readings of a replicate tell. */
export interface ProbeState {
  readonly points: readonly { readonly titreMl: number; readonly pH: number }[];
  readonly slopes: readonly { readonly titreMl: number; readonly slope: number }[];
  /** The steepest place, once it is behind. */
  readonly end: EndPoint | null;
  /** Where Gran's line meets nought: known before the end comes. */
  readonly gran: EndPoint | null;
  /** What the whole curve says of a weak acid or base: its pKa, the probe's offset, each with its standard uncertainty. */
  readonly fit: {
    readonly pKa: number;
    readonly pKaSd: number;
    readonly offset: number;
    readonly titreMl: number;
    readonly titreSdMl: number;
  } | null;
}

/** Readings below which no end is believed, and below which no curve is fitted. */
const LEAST_POINTS = 6;
const WHOLE = 10;

/** Null where nothing was probed, or it is no titration of acid and base. */
export function probeOf(setting: Setting, told: Told): ProbeState | null {
  if (told.probed.length === 0) return null;
  const points = inOrder(told.probed);
  const titration = titrationIf(setting, told, setting.content.w.value);
  const rising = (titration?.titrant.spectatorCharge ?? 1) > 0;
  const weak = (titration?.sample.families.length ?? 0) > 0;
  const end = points.length >= LEAST_POINTS ? derivativeEnd(points) : null;
  const sampleMl = titration?.sampleMl ?? 50;
  return {
    points,
    slopes: slopesOf(points),
    end,
    gran: points.length >= LEAST_POINTS ? granEnd(points, { sampleMl, weak, rising }) : null,
    fit: end && titration && points.length >= WHOLE ? fitted(titration, points, end.titreMl) : null,
  };
}

/** One family with one proton: its amount, pKa and the probe's offset by the curve; others are left alone. */
function fitted(titration: Titration, points: ProbeState['points'], endMl: number): ProbeState['fit'] {
  const [family] = titration.sample.families;
  const [pKa] = family?.pKas ?? [];
  if (!family || pKa === undefined || family.pKas.length !== 1) return null;
  const strong = Math.abs(titration.titrant.spectatorCharge);
  const perMl = strong / titration.sampleMl;
  const charged = titration.sample.spectatorCharge / family.molPerL;
  const found = fitCurve(
    points,
    [
      { name: 'titreMl', start: endMl, low: endMl * 0.7, high: endMl * 1.3 },
      { name: 'pKa', start: pKa, low: 0, high: 14 },
      { name: 'offset', start: 0, low: -1.5, high: 1.5 },
    ],
    ({ titreMl = endMl, pKa: free = pKa }) => {
      const molPerL = titreMl * perMl;
      return {
        ...titration,
        sample: {
          ...titration.sample,
          families: [{ ...family, pKas: [free], molPerL }],
          spectatorCharge: charged * molPerL,
        },
      };
    },
  );
  if (!found.ok) return null;
  const { values, sds } = found.value;
  return {
    pKa: values.pKa ?? Number.NaN,
    pKaSd: sds.pKa ?? Number.NaN,
    offset: values.offset ?? Number.NaN,
    titreMl: values.titreMl ?? Number.NaN,
    titreSdMl: sds.titreMl ?? Number.NaN,
  };
}
