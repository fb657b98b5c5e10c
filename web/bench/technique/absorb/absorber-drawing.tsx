import { formatNumber, formatPlain } from '#core/units';

/** Generator, empty trap and absorber as they stand. */
export interface AbsorberDrawn {
  readonly gas: string;
  readonly makes: string;
  readonly waterG: number;
  /** g gained by now, and to gain in all. */
  readonly gainedG: number;
  readonly toGainG: number;
  readonly warmC: number | null;
  readonly ceilingC: number;
  /** Ice that it still takes, g. */
  readonly iceG: number;
}

const FLOOR = 206;
const FULL = 74;
const CUBES = [272, 302, 332, 362];

/** One line drawing: gas comes from the left, the trap keeps what sucks back, the funnel just touches the water. */
export function AbsorberDrawing({ gas, makes, waterG, gainedG, toGainG, warmC, ceilingC, iceG }: AbsorberDrawn) {
  const share = toGainG > 0 ? Math.min(1, gainedG / toGainG) : 0;
  const level = FLOOR - FULL * (0.7 + 0.3 * share);
  const said = `A generator, an empty trap and an absorber with ${formatNumber(waterG + gainedG, 3)} g of ${makes}; it has gained ${formatNumber(gainedG, 2)} of ${formatNumber(toGainG, 3)} g of ${gas}.`;
  const cubes = iceG > 0.5 ? Math.min(CUBES.length, Math.ceil(iceG / 25)) : 0;
  return (
    <svg className="absorber-drawing" viewBox="14 34 500 214" role="img" aria-label={said}>
      <path d="M24 222h100v12H24z" className="absorber-plate" />
      <path d="M66 70h18v46q34 14 34 54 0 40-43 40t-43-40q0-40 34-54z" className="drawn-line" />
      <path d="M38 186q37-16 74 0-6 22-37 22t-37-22z" className="absorber-charge" />
      {share < 1
        ? [60, 76, 92].map((x) => <path key={x} d={`M${x} 172q-6-8 0-16t0-14`} className="absorber-wave" />)
        : null}
      <path d="M75 70V50h116v44" className="drawn-line" />
      <path d="M166 94h50v108q0 8-8 8h-34q-8 0-8-8z" className="drawn-line" />
      <text x="191" y="230" textAnchor="middle" className="absorber-quiet">
        empty trap
      </text>
      <path d="M202 104V60h126v56" className="drawn-line" />
      <path d={`M262 ${level}h132v${FLOOR - level}q0 4-4 4H266q-4 0-4-4z`} className="absorber-liquid" />
      <path d="M258 118v88q0 6 6 6h128q6 0 6-6v-88" className="drawn-line" />
      <path d={`M324 116v10l-30 ${level - 124}h68l-30-${level - 124}v-10`} className="drawn-line" />
      {CUBES.slice(0, cubes).map((x, i) => (
        <path key={x} d={`M${x} ${level + 16 + 12 * (i % 2)}l16-5 8 10-15 7z`} className="absorber-ice" />
      ))}
      <text x="412" y={level + 4} className="absorber-words">
        {formatNumber(waterG + gainedG, 3)} g
      </text>
      <text x="412" y={level + 21} className="absorber-quiet">
        {formatNumber((100 * gainedG) / Math.max(1e-9, waterG + gainedG), 3)} %
      </text>
      <text x="412" y={level + 38} className="absorber-quiet">
        {warmC === null ? `under ${formatPlain(ceilingC)} °C` : `${formatPlain(warmC)} of ${formatPlain(ceilingC)} °C`}
      </text>
      <text x="75" y="244" textAnchor="middle" className="absorber-quiet">
        {gas}
      </text>
    </svg>
  );
}
