import { ageing } from './ageing.ts';
import { bottle } from './bottle.ts';
import { label } from './label.ts';
import { shelf } from './shelf.ts';

/** What the shelf asks: apart from the rest, so that the first page loads no more than it needs. */
export const shelfVerbs = { label, ageing, bottle, shelf } as const;
