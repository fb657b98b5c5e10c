import { ageing } from './ageing.ts';
import { shelf } from './shelf.ts';

/** What the shelf asks to be drawn: apart from the rest, so that the first page loads no more than it needs. */
export const shelfVerbs = { ageing, shelf } as const;
