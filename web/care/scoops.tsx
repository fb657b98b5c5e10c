const MOST = 12;

/** So many scoops in a row, one drawn for each. */
export function Scoops({ count }: { count: number }) {
  const shown = Math.min(count, MOST);
  return (
    <svg className="scoops" viewBox={`0 0 ${shown * 46} 26`} role="img" aria-label={`${count} scoops`}>
      <title>{`${count} scoops`}</title>
      {Array.from({ length: shown }, (_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: they are alike, and only counted
        <g key={i} transform={`translate(${i * 46} 0)`}>
          <path d="M2 10 Q11 -6 20 10 Z" className="scoop-heap" />
          <path d="M1 11 H21 L18 24 H4 Z M21 14 H38 a2.5 2.5 0 0 1 0 5 H20" className="scoop" />
        </g>
      ))}
    </svg>
  );
}
