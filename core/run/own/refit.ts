import type { Route, StepTemplate } from '#run/route';
import { type Role, referencesOf } from '#run/technique';
import { usedControls } from './used-controls.ts';

/**
 * A route that was changed by hand, after its bottles or equations were: the steps stay as they were put, as far as what they
 * name is still there; what is new goes in where a fresh route has it.
 */
export function refit(mine: Route, fresh: Route): Route {
  const roles = new Set(fresh.roles.map(({ id }) => id));
  const reactions = new Set(fresh.reactions.map(({ id }) => id));
  const controls = [
    ...fresh.controls,
    ...mine.controls.filter(({ id }) => !fresh.controls.some((each) => each.id === id)),
  ];
  const set = new Set(controls.map(({ id }) => id));
  const stands = ({ op }: StepTemplate) => {
    const named = referencesOf(op);
    return (
      (named.roles ?? []).every((id) => roles.has(id)) &&
      (named.controls ?? []).every((id) => set.has(id)) &&
      (op.do === 'add' || (named.reactions ?? []).every((id) => reactions.has(id)))
    );
  };
  const freshAdd = new Map(
    fresh.steps.flatMap((each) => (each.op.do === 'add' ? [[each.op.role, each] as const] : [])),
  );
  const kept = mine.steps.filter(stands).map((each) => {
    const now = each.op.do === 'add' ? freshAdd.get(each.op.role) : undefined;
    // Which equation goes when hangs on all that goes in.
    return now && each.op.do === 'add'
      ? { ...each, op: now.op, adding: now.adding, cautions: now.cautions, where: now.where }
      : each;
  });
  const steps = fresh.steps.reduce<readonly StepTemplate[]>((now, each, i) => {
    if (each.op.do !== 'add') return now;
    const { role } = each.op;
    if (now.some(({ op }) => op.do === 'add' && op.role === role)) return now;
    const before = new Set(fresh.steps.slice(0, i).map(({ id }) => id));
    const at = now.findLastIndex(({ id }) => before.has(id));
    return [...now.slice(0, at + 1), each, ...now.slice(at + 1)];
  }, kept);
  const ids = new Set(steps.map(({ id }) => id));
  const used = usedControls({ roles: fresh.roles, steps });
  return {
    ...fresh,
    id: mine.id,
    title: mine.title,
    roles: fresh.roles.map((role) => spoken(role, mine)),
    controls: controls.filter(({ id }) => used.has(id)),
    steps: steps.map((each) => ({ ...each, after: each.after.filter((key) => ids.has(key)) })),
  };
}

/** A role in the words that it had; what it accepts and its dose are new. */
function spoken(role: Role, { roles }: Route): Role {
  const before = roles.find(({ id }) => id === role.id);
  return before ? { ...role, name: before.name, tolerates: before.tolerates, measure: before.measure } : role;
}
