import type { Advice } from '#model/assay';

/** What the flask looks like on the way; where one stands is marked by a frame and a word. */
export function Sights({ sights, now }: { sights: Advice['sights']; now: number }) {
  if (sights.length === 0) return null;
  return (
    <ol className="sights" aria-label="What the flask shows">
      {sights.map(({ says, tint }, i) => (
        <li key={says} aria-current={i === now ? 'step' : undefined}>
          <svg width="44" height="52" viewBox="0 0 44 52" aria-hidden="true">
            <path d="M14 30L6 44q-2 5 4 5h24q6 0 4-5l-8-14z" className={`tint-${tint}`} />
            <path d="M17 4h10M19 4v16L6 44q-2 5 4 5h24q6 0 4-5L25 20V4" className="drawn-line" />
          </svg>
          <span>{says}</span>
        </li>
      ))}
    </ol>
  );
}
