import type { BoardAnswer } from '#contract/api';

type Running = BoardAnswer['running'][number];

/** Stands on the bench: the line at the foot of the box is the table. */
const BOX = { width: 150, height: 150 } as const;

/** A batch as it stands on the bench, with the one number that was read last beside it. */
export function DrawnBatch({ item }: { item: Running }) {
  const { Picture, title } = PICTURES[item.drawn];
  return (
    <svg
      className="board-drawn"
      viewBox={`0 0 ${BOX.width} ${BOX.height}`}
      role="img"
      aria-label={`${title(item)}${item.reads ? `; read: ${item.reads}` : ''}`}
    >
      <Picture item={item} />
      {item.reads ? (
        <text x={BOX.width / 2} y={22} textAnchor="middle" className="board-reads">
          {item.reads}
        </text>
      ) : null}
    </svg>
  );
}

const PICTURES: Readonly<
  Record<
    Running['drawn'],
    { readonly Picture: (props: { item: Running }) => React.ReactNode; readonly title: (item: Running) => string }
  >
> = {
  vessel: { Picture: Vessel, title: ({ vessel }) => vessel?.name ?? 'a vessel' },
  dish: { Picture: Dish, title: () => 'a dish with crystals growing' },
  filter: { Picture: Filter, title: () => 'a funnel with a paper' },
  heap: { Picture: Heap, title: () => 'crystals spread to dry' },
  crucible: { Picture: Crucible, title: () => 'a crucible' },
};

const FLOOR = BOX.height - 2;

/** The person’s own vessel to scale of its shape, as full as it is. */
function Vessel({ item }: { item: Running }) {
  const { vessel, liquidMl, solidG, tint } = item;
  const ratio = vessel ? vessel.diameterMm / vessel.heightMm : 0.7;
  const height = Math.min(112, 84 / ratio);
  const width = Math.min(96, height * ratio);
  const left = (BOX.width - width) / 2;
  const top = FLOOR - height;
  const full = vessel && vessel.capacityMl > 0 ? Math.min(1, liquidMl / vessel.capacityMl) : 0;
  const liquid = FLOOR - 4 - full * (height - 12);
  return (
    <>
      <path
        d={`M${left + 2} ${liquid}h${width - 4}V${FLOOR - 8}q0 6-6 6H${left + 8}q-6 0-6-6z`}
        className={`tint-${tint}`}
      />
      {full > 0.01 ? <line x1={left + 2} x2={left + width - 2} y1={liquid} y2={liquid} className="drawn-line" /> : null}
      {solidG > 0.5 ? (
        <path
          d={`M${left + 6} ${FLOOR - 3}l8-9 6 5 9-10 8 7 7-6 ${Math.max(4, width - 60)} 13z`}
          className="drawn-line tint-white"
        />
      ) : null}
      <path
        d={`M${left - 5} ${top}h5v${height - 8}q0 8 8 8h${width - 16}q8 0 8-8v${8 - height}h5`}
        className="drawn-line"
      />
      {[0.3, 0.5, 0.7].map((share) => (
        <line
          key={share}
          x1={left + width - 14}
          x2={left + width - 4}
          y1={FLOOR - share * height}
          y2={FLOOR - share * height}
          className="drawn-mark"
        />
      ))}
    </>
  );
}

/** A wide dish under a paper; crystals at its foot. */
function Dish({ item: { tint, solidG } }: { item: Running }) {
  return (
    <>
      <path d={`M18 ${FLOOR - 34}q8 32 34 32h46q26 0 34-32z`} className={`tint-${tint}`} />
      <path d={`M8 ${FLOOR - 46}q10 44 44 44h46q34 0 44-44`} className="drawn-line" />
      <path d={`M4 ${FLOOR - 46}h142`} className="drawn-line" />
      <path d={`M26 ${FLOOR - 52}l98-12 4 7-96 8z`} className="drawn-line board-paper" />
      <path
        d={
          solidG > 0.2
            ? `M44 ${FLOOR - 3}l6-18 8 4-2 14zM66 ${FLOOR - 3}l2-24 9-4 5 28zM90 ${FLOOR - 3}l4-16 9 3 4 13z`
            : `M62 ${FLOOR - 3}l4-9 7 2 1 7zM82 ${FLOOR - 3}l3-7 6 1 2 6z`
        }
        className="drawn-line tint-white"
      />
    </>
  );
}

/** A funnel in a flask, its paper holding the cake. */
function Filter({ item: { tint } }: { item: Running }) {
  return (
    <>
      <path d={`M46 ${FLOOR - 22}h58l8 14q2 6-5 6H43q-7 0-5-6z`} className={`tint-${tint}`} />
      <path
        d={`M64 ${FLOOR - 62}v22L38 ${FLOOR - 8}q-3 8 6 8h62q9 0 6-8L86 ${FLOOR - 40}v-22`}
        className="drawn-line"
      />
      <path d={`M40 ${FLOOR - 110}h70L80 ${FLOOR - 66}v26h-10v-26z`} className="drawn-line" />
      <path d={`M52 ${FLOOR - 104}h46L79 ${FLOOR - 72}h-8z`} className="board-paper drawn-line" />
      <path d={`M58 ${FLOOR - 94}h34L79 ${FLOOR - 74}h-8z`} className="tint-white" />
    </>
  );
}

/** Crystals on a paper. */
function Heap(_: { item: Running }) {
  return (
    <>
      <path d={`M10 ${FLOOR - 3}h130l-8-6H18z`} className="board-paper drawn-line" />
      <path
        d={`M24 ${FLOOR - 9}l12-12 10 6 12-20 14 8 10-16 14 14 12-4 10 14 14-6 8 16z`}
        className="drawn-line tint-white"
      />
      <path d={`M46 ${FLOOR - 9}l8-12 12 4 6 8M86 ${FLOOR - 9}l-4-14 12-2 8 16`} className="drawn-line" />
    </>
  );
}

function Crucible(_: { item: Running }) {
  return (
    <>
      <path d={`M52 ${FLOOR - 58}h46l-6 30q-2 8-10 8H68q-8 0-10-8z`} className="drawn-line tint-grey" />
      <path
        d={`M46 ${FLOOR - 58}h58M58 ${FLOOR - 20}l-20 20M92 ${FLOOR - 20}l20 20M38 ${FLOOR - 20}h74`}
        className="drawn-line"
      />
      <path d={`M66 ${FLOOR - 2}q-6-10 4-16 0 6 6 2 8 8 0 14z`} className="board-flame" />
    </>
  );
}
