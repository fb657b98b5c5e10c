import { formatNumber } from '#base/units';
import type { Link } from '#model/assay';
import { Num } from '../parts/num.tsx';

const WIDTH = 900;
const THICKEST = 30;
/** ± % at which the tube is as thick as it is drawn. */
const WIDEST_PCT = 12;

/** From what is known to what is found: the tube is as wide as the relative uncertainty. */
export function Chain({ links }: { links: readonly Link[] }) {
  const step = WIDTH / links.length;
  const thick = (pct: number) => 3 + (THICKEST - 3) * Math.min(1, Math.sqrt(pct / WIDEST_PCT));
  const top = links.map(({ relativePct }, i) => `L${i * step + step * 0.5} ${20 - thick(relativePct) / 2}`);
  const bottom = links
    .map(({ relativePct }, i) => `L${i * step + step * 0.5} ${20 + thick(relativePct) / 2}`)
    .reverse();
  const first = thick(links[0]?.relativePct ?? 0) / 2;
  const last = thick(links.at(-1)?.relativePct ?? 0) / 2;
  const outline = `M0 ${20 - first}${top.join('')}L${WIDTH} ${20 - last}L${WIDTH} ${20 + last}${bottom.join('')}L0 ${20 + first}z`;
  return (
    <figure className="chain">
      <ol>
        {links.map(({ name, strength, how, relativePct }) => (
          <li key={name}>
            <b>{name}</b>
            <br />
            <Num figure={strength} />
            <span className="small quiet"> {how}</span>
            <span className="sr"> to ± {formatNumber(relativePct, 2)} %</span>
          </li>
        ))}
      </ol>
      <svg viewBox={`0 0 ${WIDTH} 40`} preserveAspectRatio="none" aria-hidden="true">
        <path d={outline} className="chain-tube" />
      </svg>
      <ol className="chain-uncertainty" aria-hidden="true">
        {links.map(({ name, relativePct }) => (
          <li key={name} className="mono">
            ± {formatNumber(relativePct, 2)} %
          </li>
        ))}
      </ol>
      <figcaption className="small quiet">The tube is as wide as the relative uncertainty.</figcaption>
    </figure>
  );
}
