import type { DissolveAdvice } from '#run/technique';

/** Whether the water is enough, and how much there is to spare. */
export function Dissolving({ dissolve }: { dissolve: DissolveAdvice }) {
  return (
    <p className={dissolve.sparePct < 0 ? 'caution' : ''}>
      <b>To dissolve:</b> {dissolve.sentence}
    </p>
  );
}

export function DissolveSays({ says }: { says: DissolveAdvice | null }) {
  return says ? <Dissolving dissolve={says} /> : null;
}
