import type { ProblemDocument } from '#contract/problems';

/** The server answered, and refused. */
export class Refused extends Error {
  readonly problem: ProblemDocument;
  constructor(problem: ProblemDocument) {
    super(problem.detail);
    this.problem = problem;
  }
}

/** The server did not answer. */
export class Away extends Error {}

export async function request<T>(method: 'GET' | 'POST' | 'PUT' | 'PATCH', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new Away('The notebook’s server does not answer.');
  }
  if (response.ok) return (await response.json()) as T;
  throw new Refused(await readProblem(response));
}

async function readProblem(response: Response): Promise<ProblemDocument> {
  try {
    const document = (await response.json()) as ProblemDocument;
    if (typeof document.detail === 'string') return document;
  } catch {
    // Not a problem document: told below.
  }
  return {
    type: 'about:blank',
    title: 'Refused',
    status: response.status,
    detail: `The server answered ${response.status}.`,
    code: 'went-wrong',
  };
}

/** A sentence for whatever went wrong. */
export function sentenceOf(error: unknown): string {
  if (error instanceof Refused) return error.problem.detail;
  if (error instanceof Away) return 'The notebook’s server does not answer. Is it still running?';
  return 'Something went wrong here.';
}
