import type { Route } from '#run/route';
import kept from './routes-1.json' with { type: 'json' };

/** The routes as they were when plans named theirs and did not carry it. Never changed. */
export const routes1 = kept as readonly unknown[] as readonly Route[];
