import { formatNumber } from '#base/units';

interface Receiver {
  readonly name: string;
  readonly ml: number;
  /** mL it is to hold when it is changed. */
  readonly toMl: number;
  readonly state: 'shut' | 'filling' | 'ready';
}

interface StillDrawingProps {
  readonly flaskMl: number;
  readonly potMl: number;
  /** mL in the flask below which it is not boiled. */
  readonly leastMl: number;
  readonly potC: number | null;
  readonly headC: number | null;
  /** “up 0.1 in a minute”. */
  readonly trend: string;
  readonly coolIn: string;
  readonly coolOut: string;
  readonly drips: boolean;
  readonly tint: string;
  readonly receivers: readonly Receiver[];
}

const FLASK = { x: 84, y: 246, r: 56 };
const FLOOR = 322;

/** The still as it stands: flask, head, condenser, receivers, each filled as far as it is. */
export function StillDrawing(props: StillDrawingProps) {
  const { flaskMl, potMl, leastMl, potC, headC, trend, receivers } = props;
  const title = `Flask: ${formatNumber(potMl, 3)} mL${potC === null ? '' : ` at ${potC.toFixed(1)} °C`}. Head${headC === null ? ' not read' : ` ${headC.toFixed(1)} °C`}. ${receivers
    .map(({ name, ml, state }) => `Receiver ${name}: ${formatNumber(ml, 2)} mL, ${state}`)
    .join('. ')}.`;
  return (
    <svg className="still-drawing" viewBox="0 0 400 352" role="img" aria-label={title}>
      <path d={`M0 ${FLOOR}h400`} className="still-bench" />
      <Flask potMl={potMl} flaskMl={flaskMl} leastMl={leastMl} tint={props.tint} boils={props.drips} />
      <path d="M92 60v132M76 60v132M70 58h28M76 92l-8 0M118 108l76 42" className="drawn-line" />
      <path d="M92 104l150 84M92 122l146 80" className="drawn-line" />
      <path d="M122 106l94 52 -9 17 -94 -52z" className="still-jacket" />
      <path d="M222 166l24 14q12 8 12 24v12M212 186l20 11q12 6 12 20" className="drawn-line" />
      <path d="M206 190l-8 16" className="drawn-line" />
      <Thermometer headC={headC} />
      <text x="112" y="36" className="drawn-words">
        head
      </text>
      <text x="112" y="64" className="still-big">
        {headC === null ? '–' : headC.toFixed(1)}
        <tspan className="still-unit"> °C</tspan>
      </text>
      <text x="112" y="82" className="drawn-words">
        {trend}
      </text>
      <text x="2" y="168" className="drawn-words">
        flask
      </text>
      <text x="2" y="188" className="still-mid">
        {potC === null ? '–' : potC.toFixed(1)}
        <tspan className="still-unit"> °C</tspan>
      </text>
      <text x="216" y="112" className="drawn-words">
        {props.coolOut}
      </text>
      <text x="146" y="222" className="drawn-words">
        {props.coolIn}
      </text>
      {props.drips ? <path d="M251 222q7 10 0 15q-7 -5 0 -15z" className="still-drop" /> : null}
      {receivers.map((receiver, i) => (
        <Bottle key={receiver.name} receiver={receiver} x={placeOf(receivers, i)} />
      ))}
    </svg>
  );
}

/** The receiver that fills stands under the spout; to its right those that are ready, then those that are shut. */
function placeOf(receivers: readonly Receiver[], i: number): number {
  const filling = Math.max(
    0,
    receivers.findIndex(({ state }) => state === 'filling'),
  );
  const n = receivers.length;
  return 251 + ((i - filling + n) % n) * 54;
}

function Flask({
  potMl,
  flaskMl,
  leastMl,
  tint,
  boils,
}: Pick<StillDrawingProps, 'potMl' | 'flaskMl' | 'leastMl' | 'tint'> & { boils: boolean }) {
  const { x, y, r } = FLASK;
  const level = levelOf(potMl / flaskMl);
  const least = levelOf(leastMl / flaskMl);
  const clip = 'still-flask-clip';
  return (
    <>
      <path
        d={`M${x - 70} ${y + 4}v58q0 10 10 10h120q10 0 10 -10v-58h-12q0 54 -58 54t-58 -54z`}
        className="still-mantle"
      />
      <clipPath id={clip}>
        <circle cx={x} cy={y} r={r} />
      </clipPath>
      <rect x={x - r} y={level} width={2 * r} height={2 * r} className={`tint-${tint}`} clipPath={`url(#${clip})`} />
      <line x1={x - half(level)} x2={x + half(level)} y1={level} y2={level} stroke="var(--ink)" strokeWidth="1" />
      <line x1={x - half(least)} x2={x + half(least)} y1={least} y2={least} className="still-least" />
      <text x={x} y={Math.min(y + 38, Math.max(level + 18, y - 20))} textAnchor="middle" className="still-mid">
        {formatNumber(potMl, 3)} mL
      </text>
      {boils
        ? [-22, 4, 20].map((dx, i) => (
            <circle key={dx} cx={x + dx} cy={Math.min(y + 42, level + 30 + 7 * i)} r="2.5" className="drawn-line" />
          ))
        : null}
      <circle cx={x} cy={y} r={r} className="drawn-line" />
    </>
  );
}

/** Where so much of a sphere stands: the share of its volume, by halving. */
function levelOf(share: number): number {
  const { y, r } = FLASK;
  let [low, high] = [0, 1];
  for (let i = 0; i < 30; i++) {
    const h = (low + high) / 2;
    if (h * h * (3 - 2 * h) < Math.min(1, Math.max(0, share))) low = h;
    else high = h;
  }
  return y + r - 2 * r * low;
}

function half(level: number): number {
  const { y, r } = FLASK;
  return Math.sqrt(Math.max(0, r * r - (level - y) ** 2));
}

function Thermometer({ headC }: { headC: number | null }) {
  const share = headC === null ? 0 : Math.min(1, Math.max(0, headC / 130));
  return (
    <>
      <path d="M80 8q4 -6 8 0v96h-8z" className="drawn-line" />
      <path d={`M84 106V${106 - 90 * share}`} className="still-thread" />
      <circle cx="84" cy="108" r="5" className="still-bulb" />
    </>
  );
}

function Bottle({ receiver: { name, ml, toMl, state }, x }: { receiver: Receiver; x: number }) {
  const height = 62;
  const top = FLOOR - height;
  const size = Math.max(ml, toMl, 1) * 1.15;
  const level = FLOOR - 3 - (height - 8) * Math.min(1, ml / size);
  const goal = FLOOR - 3 - (height - 8) * Math.min(1, toMl / size);
  return (
    <g>
      <path d={`M${x - 20} ${level}h40v${FLOOR - level - 2}h-40z`} className="tint-clear" />
      <path
        d={`M${x - 8} ${top - 12}v8q-12 4 -12 14v${height - 12}h40v-${height - 12}q0 -10 -12 -14v-8`}
        className="drawn-line"
      />
      {state === 'shut' ? <path d={`M${x - 9} ${top - 20}h18v10h-18z`} className="still-cap" /> : null}
      {state === 'filling' ? <line x1={x - 26} x2={x + 22} y1={goal} y2={goal} className="still-goal" /> : null}
      <circle cx={x} cy={FLOOR - 18} r="9" className="still-number" />
      <text x={x} y={FLOOR - 13.5} textAnchor="middle" className="still-number-words">
        {name}
      </text>
      <text x={x} y={FLOOR + 16} textAnchor="middle" className={state === 'filling' ? 'still-now' : 'drawn-words'}>
        {state === 'ready' ? 'ready' : `${formatNumber(ml, 3)} mL`}
      </text>
      <text x={x} y={FLOOR + 29} textAnchor="middle" className="drawn-words">
        {{ filling: `of ${formatNumber(toMl, 3)}`, shut: 'shut', ready: '' }[state]}
      </text>
    </g>
  );
}
