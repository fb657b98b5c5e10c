import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { problem } from '#core/problem';
import { sendProblem } from './problem.ts';

const OWN_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Only under its own name and from its own pages: a page elsewhere cannot reach the notebook through the browser. */
export const ownHostOnly: RequestHandler = (req, res, next) => {
  const host = req.headers.host ?? '';
  const origin = req.headers.origin;
  if (!OWN_NAMES.has(nameOf(host))) {
    return sendProblem(
      res,
      problem('not-this-host', `This notebook answers to 127.0.0.1 and localhost, not to “${host.slice(0, 80)}”.`),
    );
  }
  if (origin !== undefined && origin !== `http://${host}`) {
    return sendProblem(res, problem('not-this-host', `Requests from ${origin.slice(0, 80)} are not taken.`));
  }
  next();
};

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}

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
