import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { type Problem, type ProblemCode, problem, type Result } from '#base/problem';
import { problemDocument } from '#contract/problems';

export function sendProblem(res: Response, what: Problem): void {
  const document = problemDocument(what);
  res.status(document.status).type('application/problem+json').send(JSON.stringify(document));
}

/** Answers a result: its value as JSON, or its problem. */
export function answer<T>(res: Response, result: Result<T>, status = 200): void {
  if (result.ok) res.status(status).json(result.value);
  else sendProblem(res, result.problem);
}

export const notFound: RequestHandler = (req, res) => {
  sendProblem(res, problem('not-found', `There is nothing at ${req.method} ${req.path.slice(0, 120)}.`));
};

/** Express's own refusals become problem documents; anything else is logged and told without its inside. */
export function onError(log: Logger): ErrorRequestHandler {
  return (error: { type?: string; status?: number; code?: string }, _req, res, _next) => {
    if (error.code === 'SQLITE_FULL' || error.code === 'ENOSPC')
      return sendProblem(
        res,
        problem('no-room', 'The disk of this machine is full: nothing was written. Make room, then it goes on.'),
      );
    if (error.code?.startsWith('SQLITE_CONSTRAINT'))
      return sendProblem(
        res,
        problem(
          'conflict',
          'Something else was written meanwhile: nothing of this was. Look at it again, then repeat it.',
        ),
      );
    if (error.code?.startsWith('SQLITE_BUSY'))
      return sendProblem(
        res,
        problem('busy', 'Another process is writing to the notebook: nothing was written. Try again in a moment.'),
      );
    const known: Readonly<Record<string, [ProblemCode, string]>> = {
      'entity.too.large': ['too-large', 'The request is larger than this notebook takes at once.'],
      'entity.parse.failed': ['not-json', 'The body cannot be read as JSON.'],
      'charset.unsupported': ['not-json', 'The body must be UTF-8.'],
      'encoding.unsupported': ['not-json', 'The body’s encoding is not known here.'],
    };
    const match = error.type ? known[error.type] : undefined;
    if (match) return sendProblem(res, problem(match[0], match[1]));
    if (error.status && error.status >= 400 && error.status < 500)
      return sendProblem(res, problem('not-json', 'The request cannot be read.'));
    log.error(error);
    sendProblem(
      res,
      problem('went-wrong', 'Something went wrong here; nothing was written. The log of the server has more.'),
    );
  };
}
