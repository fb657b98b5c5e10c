import { bottle } from './bottle.ts';
import { label } from './label.ts';

/** What is asked of one bottle and of what its label says: it brings every product that is sold, so it comes when it is wanted. */
export const labelVerbs = { label, bottle } as const;
