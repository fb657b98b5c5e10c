import type { Plan } from '#run/plan';
import { stepsAt } from '#run/route';
import { fillTemplate, type Sheet } from '#run/sheet';
import { plainText } from '../parts/sentence.tsx';
import { StepIcon } from '../parts/step-icon.tsx';

/** The steps of a plan before it is taken to the bench, drawn in their order. */
export function StepsSeen({ plan, sheet }: { plan: Plan; sheet: Sheet }) {
  return (
    <section aria-labelledby="steps-seen">
      <h2 id="steps-seen">Steps</h2>
      <ol className="steps-seen">
        {stepsAt(plan.route, plan.controls).map((step) => (
          <li key={step.id}>
            <StepIcon technique={step.op.do} />
            {plainText(fillTemplate(step.title, { ...sheet.names, ...sheet.stepNames[step.id] }))}
          </li>
        ))}
      </ol>
    </section>
  );
}
