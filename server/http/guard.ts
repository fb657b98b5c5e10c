import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { problem } from '#base/problem';
import { sendProblem } from './problem.ts';

/** A body is JSON, said so, or (for photos) what its own route allows. */
export const jsonBodies: RequestHandler = (req, res, next) => {
  const hasBody = Number(req.headers['content-length'] ?? 0) > 0 || req.headers['transfer-encoding'] !== undefined;
  if (hasBody && !req.is('application/json')) {
    return sendProblem(res, problem('bad-media-type', 'Send the body as application/json.'));
  }
  next();
};

export const headers: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'"],
      workerSrc: ["'self'"],
      connectSrc: ["'self'"],
      fontSrc: ["'self'"],
      manifestSrc: ["'self'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      styleSrc: ["'self'", "'unsafe-inline'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // Plain http on the machine itself: a promise of https would lock the page out.
  strictTransportSecurity: false,
  crossOriginEmbedderPolicy: false,
});
