import { formatNumber } from '#base/units';

/** One liquid as it is drawn. */
export interface DrawnSide {
  readonly ml: number;
  /** mL it had at first: its mark. */
  readonly markMl: number;
  /** mol/L of copper: how blue it is. */
  readonly copper: number;
  /** g of what lies in it, and what that is called. */
  readonly mudG: number;
  readonly mudName: string;
  /** “jar”, “pot”, “cathode side”. */
  readonly name: string;
}

export interface CellDrawn {
  readonly divider: string;
  readonly anodic: DrawnSide;
  /** Null where nothing divides. */
  readonly cathodic: DrawnSide | null;
  readonly anode: string;
  /** A dissolving anode: g left and at first, share gone; null where it survives or was not weighed. */
  readonly strap: { readonly left: number; readonly was: number } | null;
  /** g plated on the cathode. */
  readonly platedG: number;
  readonly volts: number | null;
  readonly amps: number | null;
  readonly tempC: number;
  readonly ceilingC: number;
  /** L in an hour; null where none comes. */
  readonly hydrogenPerH: number | null;
  readonly anodeGas: string;
  /** g of blue in the divider’s pores. */
  readonly blockedG: number;
}

const FLOOR = 300;
const JAR = { x: 62, w: 330, top: 92 };
const PLUG = { x: 216, w: 22 };
const POT = { x: 226, w: 132, top: 96 };

/** The cell as it stands: both sides filled as far as they are, the electrodes as thick as they are, what bubbles, what lies. */
export function CellDrawing(cell: CellDrawn) {
  const { anodic, cathodic, volts, amps } = cell;
  const pot = cathodic !== null && !isPlug(cell.divider);
  const on = (amps ?? 0) > 0;
  return (
    <svg className="cell-drawing" viewBox="0 0 492 318" role="img" aria-label={saidOf(cell)}>
      <path d={`M14 ${FLOOR}h392`} className="cell-bench" />
      <Liquids {...cell} pot={pot} />
      <path
        d={`M${JAR.x} ${JAR.top - 14}v${FLOOR - JAR.top + 6}q0 8 8 8h${JAR.w - 16}q8 0 8-8v-${FLOOR - JAR.top + 6}`}
        className="drawn-line"
      />
      <Thermometer {...cell} />
      <path d={`M112 62V26h40M${cathodeX(cell)} 62V26h-${cathodeX(cell) - 284}`} className="drawn-line" />
      <rect x="152" y="8" width="132" height="36" className="cell-supply" />
      <text x="218" y="31" textAnchor="middle" className="cell-supply-words">
        {volts === null ? '– V' : `${formatNumber(volts, 2)} V`} ·{' '}
        {amps === null ? '– A' : `${formatNumber(amps, 2)} A`}
      </text>
      <text x="132" y="18" className="cell-sign">
        +
      </text>
      <text x="290" y="18" className="cell-sign">
        −
      </text>
      <Anode {...cell} />
      <Cathode {...cell} x={cathodeX(cell)} />
      {on ? <Bubbles x={cathodeX(cell)} side={1} /> : null}
      {on && cell.anodeGas !== '' ? <Bubbles x={112} side={-1} /> : null}
      {cell.hydrogenPerH !== null ? (
        <>
          <path d={`M${cathodeX(cell) + 24} 92q-6-8 0-16t0-16 0-14`} className="cell-wave" />
          <text x={cathodeX(cell) + 36} y="62" className="cell-gas-words">
            hydrogen,
          </text>
          <text x={cathodeX(cell) + 36} y="77" className="cell-gas-words">
            {formatNumber(cell.hydrogenPerH, 2)} L an hour
          </text>
        </>
      ) : null}
      {cell.anodeGas !== '' ? (
        <text x="126" y="84" className="cell-gas-words">
          {cell.anodeGas}
        </text>
      ) : null}
      <Words {...cell} anodic={anodic} pot={pot} />
    </svg>
  );
}

const isPlug = (divider: string) => divider.endsWith('gel');
const cathodeX = ({ cathodic, divider }: CellDrawn) => (cathodic && !isPlug(divider) ? 292 : 298);

const yOf = ({ ml, markMl }: DrawnSide, full: number) =>
  FLOOR - 8 - (FLOOR - 8 - full) * Math.min(1.06, Math.max(0.05, ml / Math.max(1, markMl)));

/** As deep a blue as there is copper. */
const blue = (molPerL: number) => Math.min(1, Math.max(0, molPerL / 0.5));

function Liquids({ anodic, cathodic, divider, pot, blockedG }: CellDrawn & { pot: boolean }) {
  const full = JAR.top + 34;
  const yA = yOf(anodic, full);
  const h = (y: number) => FLOOR - 6 - y;
  if (!cathodic)
    return (
      <>
        <Liquid x={JAR.x + 3} y={yA} w={JAR.w - 6} h={h(yA)} side={anodic} />
        <Mark y={full} x={JAR.x} />
        <Mud x={JAR.x + 6} w={JAR.w - 12} g={anodic.mudG} side={anodic} />
      </>
    );
  const yK = yOf(cathodic, full);
  if (!pot)
    return (
      <>
        <Liquid x={JAR.x + 3} y={yA} w={PLUG.x - JAR.x - 3} h={h(yA)} side={anodic} />
        <Liquid x={PLUG.x + PLUG.w} y={yK} w={JAR.x + JAR.w - PLUG.x - PLUG.w - 3} h={h(yK)} side={cathodic} />
        <rect x={PLUG.x} y={JAR.top} width={PLUG.w} height={FLOOR - JAR.top - 2} className="cell-wall" />
        <text x={PLUG.x + PLUG.w / 2} y={JAR.top - 8} textAnchor="middle" className="drawn-words">
          {divider}
        </text>
        <Mark y={full} x={JAR.x} />
        <Mud x={PLUG.x + PLUG.w + 4} w={JAR.x + JAR.w - PLUG.x - PLUG.w - 10} g={cathodic.mudG} side={cathodic} />
      </>
    );
  const { x, w, top } = POT;
  const inset = (y: number) => (18 * (y - top)) / (FLOOR - 22 - top);
  return (
    <>
      <Liquid x={JAR.x + 3} y={yA} w={JAR.w - 6} h={h(yA)} side={anodic} />
      <path d={`M${x} ${top}h${w}l-18 ${FLOOR - 22 - top}h-${w - 36}z`} className="cell-wall" />
      <path
        d={`M${x + 11 + inset(yK)} ${yK}h${w - 22 - 2 * inset(yK)}l-${18 - inset(yK)} ${FLOOR - 34 - yK}h-${w - 58}z`}
        className="cell-liquid"
        style={{ ['--blue' as string]: `${100 * blue(cathodic.copper)}%` }}
      />
      <Mud x={x + 30} w={w - 60} g={cathodic.mudG} side={cathodic} floor={FLOOR - 34} />
      {blockedG > 0.02 ? (
        <path
          d={`M${x + 5} ${yA + 8}q-6 30 2 54t4 56`}
          className="cell-blocked"
          style={{ strokeWidth: Math.min(6, 1.5 + blockedG) }}
        />
      ) : null}
      <Mark y={full} x={JAR.x} />
    </>
  );
}

function Liquid({ x, y, w, h, side }: { x: number; y: number; w: number; h: number; side: DrawnSide }) {
  return (
    <rect
      x={x}
      y={y}
      width={w}
      height={Math.max(0, h)}
      className="cell-liquid"
      style={{ ['--blue' as string]: `${100 * blue(side.copper)}%` }}
    />
  );
}

function Mark({ x, y }: { x: number; y: number }) {
  return <path d={`M${x + 4} ${y}h16`} className="cell-mark" />;
}

interface MudProps {
  readonly x: number;
  readonly w: number;
  readonly g: number;
  readonly side: DrawnSide;
  readonly floor?: number;
}

/** What lies at the bottom; a gram of hydroxide takes many millilitres. */
function Mud({ x, w, g, side, floor = FLOOR - 6 }: MudProps) {
  if (!(g > 0.1)) return null;
  const h = Math.min(90, (900 * g) / Math.max(40, side.markMl));
  return (
    <g>
      <path d={`M${x} ${floor}v-${h}q${w / 6}-5 ${w / 3} 0t${w / 3} 0t${w / 3} 0v${h}z`} className="cell-mud" />
      {[0.25, 0.6].map((at) => (
        <path key={at} d={`M${x + w * at} ${floor - h * 0.4}q4-4 8 0t8 0`} className="cell-flake" />
      ))}
    </g>
  );
}

function Thermometer({ tempC, ceilingC }: CellDrawn) {
  const [top, bottom] = [70, 232];
  const most = Math.max(60, ceilingC + 10);
  const y = (c: number) => bottom - ((bottom - top) * Math.min(most, Math.max(0, c))) / most;
  return (
    <>
      <path d={`M77 ${top}v${bottom - top}M87 ${top}v${bottom - top}M77 ${top}q5-7 10 0`} className="drawn-line" />
      <circle cx="82" cy="240" r="9" className="cell-bulb-glass" />
      <circle cx="82" cy="240" r="6" className="cell-bulb" />
      <path d={`M82 236V${y(tempC)}`} className="cell-thread" />
      <path d={`M72 ${y(ceilingC)}h20`} className="cell-ceiling" />
      <text x="56" y={y(ceilingC)} textAnchor="end" className="drawn-words">
        {ceilingC} °C
      </text>
      <text x="56" y={y(ceilingC) + 14} textAnchor="end" className="drawn-words">
        ceiling
      </text>
      <text x="56" y={y(tempC) + 4} textAnchor="end" className="cell-strong">
        {tempC.toFixed(0)} °C
      </text>
    </>
  );
}

/** Thinnest at the surface, where it is eaten first. */
function Anode({ strap, anode }: CellDrawn) {
  const [x, top, bottom] = [112, 60, 250];
  const line = JAR.top + 34;
  const half = 11;
  if (!strap)
    return (
      <path
        d={`M${x - 5} ${top}h10v${bottom - top}h-10z`}
        className={`cell-electrode cell-${anode === 'carbon' ? 'dark' : 'grey'}`}
      />
    );
  const left = strap.was > 0 ? Math.max(0, strap.left / strap.was) : 1;
  const body = Math.max(1.2, half * left);
  const waist = Math.max(0.5, half * Math.max(0, 1 - 1.25 * (1 - left)));
  const parted = left < 0.2;
  return (
    <>
      <path d={`M${x - half} ${line}h${2 * half}v${bottom - line}h-${2 * half}z`} className="cell-was" />
      <path
        d={`M${x - half} ${top}h${2 * half}V${line - 6}L${x + waist} ${line + 8}L${x + body} ${line + 40}V${bottom}H${x - body}V${line + 40}L${x - waist} ${line + 8}L${x - half} ${line - 6}z`}
        className={parted ? 'cell-electrode cell-copper cell-parted' : 'cell-electrode cell-copper'}
      />
    </>
  );
}

function Cathode({ platedG, x }: CellDrawn & { x: number }) {
  const grown = Math.min(9, 2.2 * Math.sqrt(platedG));
  return (
    <>
      {platedG > 0.01 ? (
        <path
          d={`M${x - 4 - grown} 150q${grown - 3} 14 0 30t0 34 0 34h${8 + 2 * grown}q-${grown}-14 0-34t0-34 0-30z`}
          className="cell-plated"
        />
      ) : null}
      <path d={`M${x - 3} 60h6v190h-6z`} className="cell-electrode cell-grey" />
    </>
  );
}

const BUBBLES = [
  [16, 236, 3],
  [22, 210, 4],
  [15, 186, 3],
  [20, 164, 4.5],
  [14, 146, 3],
] as const;

function Bubbles({ x, side }: { x: number; side: 1 | -1 }) {
  return BUBBLES.map(([dx, y, r]) => <circle key={y} cx={x + side * dx} cy={y} r={r} className="cell-bubble" />);
}

function Words({ anodic, cathodic, strap, platedG, pot }: CellDrawn & { pot: boolean }) {
  const words: string[] = [];
  if (strap)
    words.push(`${formatNumber(strap.left, 3)} g left`, `of ${formatNumber(strap.was, 3)} g below`, 'the liquid');
  return (
    <>
      {words.map((word, i) => (
        <text key={word} x="136" y={156 + 15 * i} className={i === 0 ? 'cell-strong' : 'cell-words'}>
          {word}
        </text>
      ))}
      <text x="400" y="130" className="drawn-words">
        {anodic.name}
      </text>
      <text x="400" y="144" className="drawn-words">
        {formatNumber(anodic.ml, 3)} mL
      </text>
      {cathodic ? (
        <>
          <text x="400" y="170" className="drawn-words">
            {cathodic.name}
          </text>
          <text x="400" y="184" className="drawn-words">
            {formatNumber(cathodic.ml, 3)} mL
          </text>
          {cathodic.mudG > 0.1 ? (
            <>
              <text x="400" y={pot ? 250 : 262} className="drawn-words">
                {cathodic.mudName}
              </text>
              <text x="400" y={pot ? 264 : 276} className="drawn-words">
                {formatNumber(cathodic.mudG, 2)} g
              </text>
            </>
          ) : null}
        </>
      ) : null}
      {platedG > 0.01 ? (
        <text x="318" y="206" className="cell-words">
          {formatNumber(platedG, 2)} g copper
        </text>
      ) : null}
    </>
  );
}

/** Everything drawn, in words. */
function saidOf({
  anodic,
  cathodic,
  strap,
  platedG,
  volts,
  amps,
  tempC,
  ceilingC,
  hydrogenPerH,
  divider,
}: CellDrawn): string {
  return [
    volts === null || amps === null
      ? 'No current was read.'
      : `${formatNumber(volts, 2)} V and ${formatNumber(amps, 2)} A.`,
    `${anodic.name}: ${formatNumber(anodic.ml, 3)} mL.`,
    cathodic ? `Behind ${divider}, ${cathodic.name}: ${formatNumber(cathodic.ml, 3)} mL.` : '',
    cathodic && cathodic.mudG > 0.1 ? `${formatNumber(cathodic.mudG, 2)} g of ${cathodic.mudName} in it.` : '',
    strap ? `${formatNumber(strap.left, 3)} of ${formatNumber(strap.was, 3)} g of the anode left.` : '',
    platedG > 0.01 ? `${formatNumber(platedG, 2)} g of copper on the cathode.` : '',
    `${tempC.toFixed(0)} °C, ceiling ${ceilingC}.`,
    hydrogenPerH === null ? '' : `Hydrogen ${formatNumber(hydrogenPerH, 2)} L an hour.`,
  ]
    .filter((each) => each !== '')
    .join(' ');
}
