import { timingSafeEqual } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { problem } from '#base/problem';
import { sendProblem } from '../http/problem.ts';
import type { Devices } from './devices.ts';
import type { Sharing } from './sharing.ts';

const OWN_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);
const TOKEN = /(?:^|;\s*)still_device=([\w-]{43})(?:;|$)/;
/** What a device that is not paired yet may ask. */
const BEFORE_PAIRING = new Set(['/api/pair', '/api/health']);
/** What is done at the machine itself alone: who is let in, and what takes the place of the notebook. */
const AT_THE_MACHINE = /^\/api\/(?:share(?:\/|$)|week\/feed$|backup\/restore$|import(?:\/|$))/;
/** What a calendar fetches, with a key of its own. */
const CALENDAR = '/api/week/calendar.ics';
/** Requests a minute from one address of the network; a bench asks for a few hundred at most. */
const MOST_A_MINUTE = 1200;

interface Gate {
  /** Null where the notebook is for this machine alone. */
  readonly sharing: Sharing | null;
  readonly devices: Devices;
  readonly now: () => string;
  /** The key under which a calendar on the network may fetch the week, and nothing else; null where there is none. */
  readonly feedKey: () => string | null;
}

/**
 * Only under its own names and from its own pages: a page elsewhere cannot reach the notebook through the browser. From the home
 * network only where it was opened to it, and then from paired devices.
 */
export function hostGate({ sharing, devices, now, feedKey }: Gate): readonly RequestHandler[] {
  const limit = rateLimit({
    windowMs: 60_000,
    limit: MOST_A_MINUTE,
    skip: (req) => isOwner(req),
    handler: (_req, res) => sendProblem(res, problem('too-often', 'This device asks too often: wait a minute.')),
    standardHeaders: false,
    legacyHeaders: false,
  });
  const gate: RequestHandler = (req, res, next) => {
    const host = req.headers.host ?? '';
    const name = nameOf(host);
    const refused = (why: string) => sendProblem(res, problem('not-this-host', why));
    const own = OWN_NAMES.has(name);
    if (own && !isLoopback(req))
      return refused('Ask under the address of this machine, not as if you were the machine itself.');
    if (!own && !sharing?.names().includes(name))
      return refused(`This notebook answers to 127.0.0.1 and localhost, not to “${host.slice(0, 80)}”.`);
    const { origin } = req.headers;
    if (origin !== undefined && origin !== `http://${host}`)
      return refused(`Requests from ${origin.slice(0, 80)} are not taken.`);
    // As the routes read it: in any case of its letters, with a slash at its end or without.
    const path = req.path.toLowerCase().replace(/\/+$/, '');
    if (own || !/^\/*api(?:\/|$)/.test(path) || BEFORE_PAIRING.has(path)) return next();
    if (path === CALENDAR && req.method === 'GET' && isKey(req.query.key, feedKey())) return next();
    const token = TOKEN.exec(req.headers.cookie ?? '')?.[1];
    if (!token || !devices.of(token, now()))
      return sendProblem(res, problem('not-paired', 'This device is not paired with the notebook, or no longer is.'));
    if (req.method !== 'GET' ? AT_THE_MACHINE.test(path) : path.startsWith('/api/share'))
      return sendProblem(res, problem('at-the-machine', 'This is done at the machine that the notebook is on.'));
    next();
  };
  return [limit, gate];
}

/** Compared in the same time wherever they differ. */
function isKey(asked: unknown, key: string | null): boolean {
  if (key === null || typeof asked !== 'string' || asked.length !== key.length) return false;
  return timingSafeEqual(Buffer.from(asked), Buffer.from(key));
}

/** Asked on the machine itself, under its own name. */
export function isOwner(req: Request): boolean {
  return isLoopback(req) && OWN_NAMES.has(nameOf(req.headers.host ?? ''));
}

function isLoopback(req: Request): boolean {
  return /^(?:::ffff:)?127\.|^::1$/.test(req.socket.remoteAddress ?? '');
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}
