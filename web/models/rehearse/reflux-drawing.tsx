interface RefluxDrawn {
  /** How high the wet ring stands in the condenser, 1 at the top. */
  readonly ring: number;
  readonly boiling: boolean;
  readonly watts: number;
  readonly name: string;
}

const TOP = 24;
const FOOT = 124;

/** A flask on its bath, a condenser upright on it. */
export function RefluxDrawing({ ring, boiling, watts, name }: RefluxDrawn) {
  const shown = Math.max(0, Math.min(1, ring));
  const y = FOOT - (FOOT - TOP) * shown;
  const said = `A flask of ${name} under a condenser, ${boiling ? 'boiling' : 'not boiling'}; the ring stands at ${Math.round(100 * shown)} % of its height.`;
  return (
    <svg className="reflux-drawing" viewBox="60 10 240 240" role="img" aria-label={said}>
      <path d={`M150 ${TOP}v${FOOT - TOP}M170 ${TOP}v${FOOT - TOP}`} className="drawn-line" />
      <path d={`M136 ${TOP + 8}h48v${FOOT - TOP - 16}h-48z`} className="drawn-line" />
      {shown > 0 ? <path d={`M151 ${y}h18v${FOOT - y}h-18z`} className="absorber-liquid" /> : null}
      {shown > 0 ? (
        <path d={`M132 ${y}h56`} stroke={shown > 0.5 ? 'var(--madder)' : 'var(--verdigris)'} strokeWidth="2" />
      ) : null}
      <path d={`M150 ${FOOT}v14q-38 14-38 50 0 38 48 38t48-38q0-36-38-50v-14`} className="drawn-line" />
      <path d="M114 190q46-14 92 0-4 34-46 34t-46-34z" className="absorber-liquid" />
      {boiling ? [136, 160, 184].map((x) => <circle key={x} cx={x} cy="206" r="4" className="drawn-line" />) : null}
      <path d="M96 234h128v8H96z" className="absorber-plate" />
      <text x="232" y="242" className="absorber-quiet">
        {watts} W
      </text>
      <text x="196" y={TOP + 8} className="absorber-quiet">
        top
      </text>
      <text x="196" y={FOOT - 2} className="absorber-quiet">
        lower third
      </text>
    </svg>
  );
}
