import type { Adds } from '#run/technique';
import { Dissolving } from '../dissolve/dissolve-says.tsx';
import { Extent } from '../extent.tsx';

/** How far what it starts has come, and what its water dissolves. */
export function AddSays({ says }: { says: Adds | null }) {
  if (!says) return null;
  return (
    <>
      {says.extent ? <Extent extent={says.extent} /> : null}
      {says.dissolve ? <Dissolving dissolve={says.dissolve} /> : null}
    </>
  );
}
