/** Every expected failure: its short title and the HTTP status that carries it. */
export const problemCatalogue = {
  'not-a-number': { title: 'Not a number', status: 422 },
  'ambiguous-number': { title: 'A number that can be read two ways', status: 422 },
  'out-of-range': { title: 'Out of range', status: 422 },
  'unknown-unit': { title: 'Unit not known', status: 422 },
  'unit-does-not-fit': { title: 'Unit does not fit', status: 422 },
  'unknown-substance': { title: 'Substance not known', status: 422 },
  'bad-formula': { title: 'Formula cannot be read', status: 422 },
  'several-reactions': { title: 'Several independent reactions', status: 422 },
  'no-atomic-weight': { title: 'No standard atomic weight', status: 422 },
  'no-density': { title: 'No density table', status: 422 },
  'no-solubility': { title: 'No solubility held', status: 422 },
  'no-data': { title: 'No data held', status: 422 },
  'impossible-strength': { title: 'Impossible strength', status: 422 },
  'missing-part': { title: 'Something is missing', status: 422 },
  'no-route': { title: 'No route', status: 422 },
  'no-bottle': { title: 'No bottle fits', status: 422 },
  'too-weak': { title: 'Too weak for the target', status: 422 },
  'beyond-scope': { title: 'Beyond what a hobby bench should make', status: 422 },
  'invalid-input': { title: 'The request does not fit its schema', status: 422 },
  'not-json': { title: 'The body is not JSON', status: 400 },
  'not-found': { title: 'Nothing here by that name', status: 404 },
  conflict: { title: 'Changed elsewhere since you read it', status: 409 },
  'other-notebook': { title: 'Meant for another notebook', status: 409 },
  'same-again': { title: 'Entered in another page too', status: 409 },
  'id-taken': { title: 'That id already names something else', status: 409 },
  'too-large': { title: 'The body is too large', status: 413 },
  'not-this-host': { title: 'Asked under a name this notebook does not answer to', status: 403 },
  'not-paired': { title: 'Not a device of this notebook', status: 401 },
  'wrong-code': { title: 'Not the code of now', status: 403 },
  'at-the-machine': { title: 'Only at the machine itself', status: 403 },
  'too-often': { title: 'Asked too often', status: 429 },
  'bad-media-type': { title: 'That kind of file is not kept here', status: 415 },
  'unknown-verb': { title: 'No such computation', status: 404 },
  'no-room': { title: 'The disk is full', status: 507 },
  busy: { title: 'Busy for the moment', status: 503 },
  'went-wrong': { title: 'Something went wrong here', status: 500 },
} as const satisfies Record<string, { title: string; status: number }>;

export type ProblemCode = keyof typeof problemCatalogue;

export interface Problem {
  readonly code: ProblemCode;
  /** A whole sentence: what is wrong, and what would be right. */
  readonly message: string;
  /** The field it stands beside, as a dotted path. */
  readonly field?: string;
  /** Where in a typed text it is, [from, to) in UTF-16 units. */
  readonly at?: readonly [number, number];
}

export function problem(
  code: ProblemCode,
  message: string,
  where: { field?: string; at?: readonly [number, number] } = {},
): Problem {
  return { code, message, ...where };
}
