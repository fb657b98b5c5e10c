import dayjs from 'dayjs';
import type { Advice, StepState } from '#run/state';
import type { AdviceOf, OwnAdvice, TechniqueName } from '#run/technique';
import type { Run } from '../run/use-run.ts';
import { viewOf } from './technique/registry.ts';

/** What the readings of a step say: what its own technique advises, and when it will be done. */
export function StepAdvice({ run, step, advice }: { run: Run; step: StepState; advice: Advice }) {
  const { finish } = advice;
  const { Says } = viewOf(step);
  const says = saysOf(advice.own, step.technique);
  if (!finish && !(Says && says)) return null;
  return (
    <section className="advice" aria-label="What the readings say">
      {finish ? (
        <p>
          <b>By {finish.of}:</b> {finish.sentence}
          {finish.latestAt ? ` Very likely by ${dayjs(finish.latestAt).format('D MMM, HH:mm')}.` : ''}
        </p>
      ) : null}
      {Says ? <Says run={run} step={step} says={says} /> : null}
    </section>
  );
}

/** Advice of a step's own kind; null while another step's is still shown. */
export function saysOf<N extends TechniqueName>(own: OwnAdvice | null, technique: N): AdviceOf<N> | null {
  return own?.do === technique ? (own.says as AdviceOf<N> | null) : null;
}
