import { expose } from 'comlink';
import { verbs } from '#contract/verbs';
import { type Spread, spreadOf } from '#core/figure';
import { type Plan, sheetOf } from '#core/run';

const SAMPLES = 10_000;
let latest = 0;

/**
 * Monte Carlo of a plan's result. Between thousands of samples the worker takes its messages, so a newer call (a higher
 * token) ends an older one, which then answers null.
 */
async function spread(plan: Plan, token: number): Promise<Spread | null> {
  latest = token;
  const sheet = sheetOf(plan);
  const figure = sheet.ok ? (sheet.value.product ?? sheet.value.made?.strength) : undefined;
  if (!figure) return null;
  const run = spreadOf(figure, SAMPLES, 20_260_314);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
    await new Promise((breathe) => setTimeout(breathe, 0));
    if (token !== latest) return null;
  }
}

// The same functions as behind HTTP and the command line, away from the page's own thread.
const door = { ...verbs, spread };
export type Door = typeof door;
expose(door);
