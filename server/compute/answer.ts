import type { Problem } from '#base/problem';
import { compute } from '#contract/compute';
import { problemDocument } from '#contract/problems';

/** What goes back over HTTP, written out: the server's own thread only passes it on. */
export interface Written {
  readonly status: number;
  readonly type: 'application/json' | 'application/problem+json';
  readonly text: string;
}

/** One computation behind the door, answered as HTTP has it. */
export function computeAnswer(verb: string, body: unknown): Written {
  const result = compute(verb, body);
  if (result.ok) return { status: 200, type: 'application/json', text: JSON.stringify(result.value) };
  const { code, message, at } = result.problem;
  // The Reckoner's refusal keeps the shape it has on the command line, inside the problem document.
  const besides = verb === 'reckon' && at !== undefined ? { problem: { code, message, at } } : {};
  return refused(result.problem, besides);
}

export function refused(problem: Problem, besides: object = {}): Written {
  const document = problemDocument(problem);
  return {
    status: document.status,
    type: 'application/problem+json',
    text: JSON.stringify({ ...document, ...besides }),
  };
}
