import { type Problem, type ProblemCode, problemCatalogue } from '#base/problem';

/** RFC 9457 problem document, with our stable code and the field it stands beside. */
export interface ProblemDocument {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: ProblemCode;
  readonly field?: string;
  readonly at?: readonly [number, number];
}

export function problemDocument(problem: Problem): ProblemDocument {
  const { title, status } = problemCatalogue[problem.code];
  return {
    type: `urn:earnest-still:problem:${problem.code}`,
    title,
    status,
    detail: problem.message,
    code: problem.code,
    ...(problem.field === undefined ? {} : { field: problem.field }),
    ...(problem.at === undefined ? {} : { at: problem.at }),
  };
}
