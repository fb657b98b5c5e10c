import { useSyncExternalStore } from 'react';
import type { ProblemDocument } from '#contract/problems';
import { clockSaid } from '../kit/clock.ts';

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

/** Which notebook answers here; null before any has. */
let notebook: string | null = null;

export function notebookNow(): string | null {
  return notebook;
}

interface Asked {
  readonly body?: unknown;
  /** The notebook that it is meant for; another one under the same address refuses it. */
  readonly forNotebook?: string | null;
}

export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** A server that has not answered by then is told to be away, ms; what is larger is waited for. */
const PATIENCE_MS = 10_000;
const PATIENCE_FILE_MS = 600_000;

export function request<T>(method: Method, path: string, body?: unknown): Promise<T> {
  return call(method, path, { body });
}

/** The same, for one notebook and no other. */
export function postFor<T>(forNotebook: string | null, path: string, body: unknown): Promise<T> {
  return call('POST', path, { body, forNotebook });
}

/** A file goes as it is. */
export function sendFile<T>(method: 'POST' | 'PUT', path: string, file: Blob): Promise<T> {
  return answered(path, {
    method,
    headers: { 'Content-Type': file.type || 'application/octet-stream' },
    body: file,
    signal: AbortSignal.timeout(PATIENCE_FILE_MS),
  });
}

function call<T>(method: string, path: string, { body, forNotebook }: Asked): Promise<T> {
  return answered(path, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...(forNotebook ? { 'X-Notebook': forNotebook } : {}),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
}

/** Whether the server answers, and when it last did (ms since 1970; null before it ever has). */
export interface Answering {
  readonly away: boolean;
  readonly lastAt: number | null;
}

let answering: Answering = { away: false, lastAt: null };
const toldOfAnswers = new Set<() => void>();

function answersNow(yes: boolean): void {
  const before = answering;
  answering = yes ? { away: false, lastAt: Date.now() } : { ...answering, away: true };
  if (before.away !== answering.away) for (const tell of toldOfAnswers) tell();
}

export function useAnswering(): Answering {
  return useSyncExternalStore(
    (tell) => {
      toldOfAnswers.add(tell);
      return () => toldOfAnswers.delete(tell);
    },
    () => answering,
  );
}

async function answered<T>(path: string, init: RequestInit): Promise<T> {
  const askedAt = Date.now();
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    answersNow(false);
    throw new Away('The notebook’s server does not answer.');
  }
  answersNow(true);
  learn(response.headers, askedAt);
  if (!response.ok) {
    const refused = await readProblem(response);
    // On a phone that is not known here (any more), nothing but pairing helps.
    if (refused.code === 'not-paired' && window.location.pathname !== '/pair') window.location.assign('/pair');
    throw new Refused(refused);
  }
  const text = await response.text().catch(() => {
    throw new Away('The notebook’s server broke off.');
  });
  return (text === '' ? undefined : JSON.parse(text)) as T;
}

/** What every answer says besides: which notebook it is, and what time it is there. */
function learn(headers: Headers, askedAt: number): void {
  notebook = headers.get('X-Notebook') ?? notebook;
  clockSaid(headers.get('Date'), askedAt, Date.now());
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

/** What kind of refusal it was; undefined where the server did not answer. */
export function codeOf(error: unknown): string | undefined {
  return error instanceof Refused ? error.problem.code : undefined;
}
