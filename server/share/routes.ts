import { type RequestHandler, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { problem } from '#base/problem';
import type { ShareAnswer } from '#contract/api';
import { pairBody } from '#contract/bodies';
import { check } from '#contract/check';
import { notFound, sendProblem } from '../http/problem.ts';
import type { Devices } from './devices.ts';
import type { Sharing } from './sharing.ts';

interface Shared {
  readonly sharing: Sharing | null;
  readonly devices: Devices;
  readonly now: () => string;
}

const YEAR_MS = 365 * 86_400_000;

/** At the machine itself: whether the notebook is open to the network, the code of now, and who was let in. */
export function shareRoutes({ sharing, devices, now }: Shared): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    const code = sharing?.codeNow(Date.parse(now()));
    res.json({
      on: sharing !== null,
      urls: sharing?.urls() ?? [],
      code: code?.code ?? null,
      until: code ? new Date(code.until).toISOString() : null,
      devices: devices.all(),
    } satisfies ShareAnswer);
  });
  router.delete('/devices/:id', (req, res, next) => {
    if (!devices.withdraw(req.params.id)) return notFound(req, res, next);
    res.json(devices.all());
  });
  return router;
}

/** A device says the code that stands on the machine’s screen, and is known from then on. */
export function pairRoutes({ sharing, devices, now }: Shared): readonly RequestHandler[] {
  const limit = rateLimit({
    windowMs: 10 * 60_000,
    limit: 20,
    // All together: who tries codes may have many addresses.
    keyGenerator: () => 'all',
    skipSuccessfulRequests: true,
    standardHeaders: false,
    legacyHeaders: false,
    handler: (_req, res) =>
      sendProblem(
        res,
        problem('too-often', 'Too many wrong codes: wait ten minutes, then read the one that stands there then.'),
      ),
  });
  const pair: RequestHandler = (req, res) => {
    const body = check(pairBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    if (!sharing) return sendProblem(res, problem('not-paired', 'This notebook is not open to the home network.'));
    if (!sharing.takes(body.value.code.replace(/\s/g, ''), Date.parse(now())))
      return sendProblem(
        res,
        problem('wrong-code', 'That is not the code that stands on the screen now; it changes every ten minutes.', {
          field: 'code',
        }),
      );
    res.cookie('still_device', devices.add(body.value.name, now()), {
      httpOnly: true,
      sameSite: 'strict',
      path: '/',
      maxAge: YEAR_MS,
    });
    res.status(201).json({ name: body.value.name });
  };
  return [limit, pair];
}
