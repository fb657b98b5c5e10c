import { formatNumber, formatPlain } from '#base/units';

/** The dish as it stands: how full it is, how much hangs under the cover, and how warm both are. */
export interface DishDrawn {
  readonly name: string;
  readonly tint: string;
  /** g at first, and over by now. */
  readonly charged: number;
  readonly over: number;
  readonly potC: number;
  readonly coverC: number;
  readonly gPerHour: number;
}

const DISH = { left: 92, right: 308, rim: 132, floor: 206 };
const MOST_NEEDLES = 15;

/** Plate, dish, vapour, needles, cover with ice, in one line drawing. */
export function DishDrawing({ name, tint, charged, over, potC, coverC, gPerHour }: DishDrawn) {
  const share = charged > 0 ? Math.min(1, over / charged) : 0;
  const heap = 30 * (1 - share);
  const needles = Math.round(MOST_NEEDLES * share);
  const said = `A dish at ${formatPlain(potC)} °C under a cover at ${formatPlain(coverC)} °C: about ${formatNumber(over, 2)} of ${formatNumber(charged, 3)} g of ${name} are over.`;
  return (
    <svg className="dish-drawing" viewBox="30 78 430 186" role="img" aria-label={said}>
      <path d="M52 222h296v16H52z" className="dish-plate" />
      <path d="M70 244v10M330 244v10M40 256h320" className="drawn-line" />
      <path d={`M${DISH.left} ${DISH.rim}v52q0 22 22 22h172q22 0 22-22v-52`} className="drawn-line" />
      {heap > 1 ? (
        <path d={`M112 ${DISH.floor}q88 ${-2.2 * heap} 176 0z`} className={`tint-${tint} dish-heap`} />
      ) : (
        <path d={`M150 ${DISH.floor - 1}h100`} className="dish-residue" />
      )}
      {gPerHour > 0 && share < 1
        ? [150, 200, 250].map((x) => (
            <path key={x} d={`M${x} ${DISH.floor - heap - 10}q-7-9 0-18t0-16`} className="dish-vapour" />
          ))
        : null}
      <path d="M82 124q118 34 236 0" className="drawn-line" />
      <path d="M82 124q118-22 236 0" className="drawn-line" />
      {Array.from({ length: needles }, (_, i) => {
        const x = 112 + (176 * (i + 0.5)) / MOST_NEEDLES;
        const y = 133 + 8 * Math.sin((Math.PI * (x - 82)) / 236);
        return <path key={x} d={`M${x} ${y}l${(i % 3) - 1} ${9 + (i % 4) * 3}`} className="dish-needle" />;
      })}
      {[132, 166, 202, 238].map((x, i) => (
        <path key={x} d={`M${x} ${104 - (i % 2) * 6}l20-6 10 12-18 9z`} className="dish-ice" />
      ))}
      <text x="360" y="112" className="dish-words">
        cover {formatPlain(coverC)} °C
      </text>
      <text x="360" y="128" className="dish-quiet">
        ice, {formatNumber(Math.max(0, over), 2)} g below
      </text>
      <text x="360" y="196" className="dish-words">
        dish {formatPlain(potC)} °C
      </text>
      <text x="360" y="212" className="dish-quiet">
        {formatNumber(Math.max(0, charged - over), 2)} g in it
      </text>
    </svg>
  );
}
