import { Select } from 'antd';
import type { Problem } from '#base/problem';
import type { PlanChoice } from '#run/choose';
import type { Plan } from '#run/plan';
import { Controls } from '../planning/controls.tsx';

/** A plan that cannot work as it is set: what is wrong, the controls with the one that helps marked, and the bottles. */
export function CannotWork({
  problem,
  plan,
  choice,
  onControl,
  onBottle,
}: {
  problem: Problem;
  plan: Plan;
  choice: PlanChoice;
  onControl: (control: string, value: number) => void;
  onBottle: (role: string, bottleId: string) => void;
}) {
  return (
    <section aria-label="Why it does not work yet" className="cannot">
      <p className="problem" role="alert">
        {problem.message}
      </p>
      <Controls
        sheet={null}
        plan={plan}
        controls={choice.controls}
        helps={problem.field?.replace('controls.', '')}
        onControl={onControl}
      />
      <div className="row">
        {choice.roles
          .filter(({ bottles }) => bottles.length > 1)
          .map((role) => (
            <Select
              key={role.id}
              aria-label={`Bottle for ${role.name}`}
              value={plan.bottles[role.id] ?? null}
              popupMatchSelectWidth={false}
              options={role.bottles.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(id) => id && onBottle(role.id, id)}
            />
          ))}
      </div>
    </section>
  );
}
