import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { USUAL_BURETTE } from '#matter/gear';
import { contentOf } from '#matter/stock';
import { methodById } from '#model/method';
import { levelNow } from '../reduce/titre.ts';
import type { AssayBody, AssayEntry } from './entries.ts';
import { isBlank, LEVEL, toldBy } from './fold.ts';
import type { AssayPlan } from './plan.ts';

type Read = Extract<AssayBody, { kind: 'read' }>;

/** Why an entry cannot be so, in a sentence with its field; what is only odd is taken. */
export function entryCheck(plan: AssayPlan, entries: readonly AssayEntry[], body: AssayBody): Result<null> {
  switch (body.kind) {
    case 'read':
      return body.name === LEVEL ? levelCheck(plan, entries, body) : readingCheck(plan, body);
    case 'refilled':
      return refillCheck(plan, body);
    case 'ended':
      return endCheck(plan, entries, body);
    case 'diluted':
      return body.weighG <= body.toG
        ? heldCheck(plan, body.weighG, plan.turned ? 'standard' : 'bottle')
        : fail('out-of-range', 'Diluted, there is more of it than before: the second mass is the larger one.', {
            field: 'toG',
          });
    case 'probed':
      return body.titre >= 0 ? ok(null) : fail('out-of-range', 'A titre is 0 or more.', { field: 'titre' });
    case 'withdrawn':
      return entries.some(({ id }) => id === body.of)
        ? ok(null)
        : fail('not-found', 'The entry to take back is not one of this assay’s.', { field: 'of' });
    case 'left-out':
      return toldBy(entries).replicates.some(({ key }) => key === body.replicate)
        ? ok(null)
        : fail('not-found', `There is no replicate ${body.replicate}.`, { field: 'replicate' });
    default:
      return ok(null);
  }
}

function unitCheck(plan: AssayPlan, { name, unit }: Read): Result<null> {
  if (unit === undefined) return ok(null);
  const wanted = unitOf(plan, name);
  return wanted === undefined || wanted === unit
    ? ok(null)
    : fail(
        'unit-does-not-fit',
        `This assay counts that in ${wanted || 'a bare number'}; ${unit} would mix two units. Enter it in ${wanted || 'a bare number'}.`,
        { field: 'unit' },
      );
}

function unitOf({ methodId, byMass }: AssayPlan, name: string): string | undefined {
  if (name === LEVEL) return byMass ? 'g' : 'mL';
  if (name === 'sampleG') return 'g';
  const method = methodById(methodId);
  const entry = method?.is === 'measured' ? method.entries.find((each) => each.name === name) : undefined;
  if (entry?.unit === 'titre') return byMass ? 'g' : 'mL';
  return entry?.unit;
}

function readingCheck(plan: AssayPlan, body: Read): Result<null> {
  const units = unitCheck(plan, body);
  if (!units.ok) return units;
  const method = methodById(plan.methodId);
  const { name, value } = body;
  if (method?.is === 'titration' && name !== 'sampleG')
    return fail('invalid-input', `A titration has no reading “${name}”: it reads sampleG and level.`, {
      field: 'name',
    });
  if (name === 'sampleG') {
    if (!(value > 0)) return fail('out-of-range', 'A sample weighs more than 0 g.', { field: 'value' });
    return plan.dilution || plan.turned ? ok(null) : heldCheck(plan, value, 'bottle');
  }
  if (method?.is !== 'measured') return ok(null);
  const entry = method.entries.find((each) => each.name === name);
  if (!entry) {
    const names = method.entries.map((each) => each.name).join(', ');
    return fail('invalid-input', `There is no reading “${name}” here: it reads ${names}.`, { field: 'name' });
  }
  return value >= entry.least && value <= entry.most
    ? ok(null)
    : fail(
        'out-of-range',
        `${capital(entry.label)} lies between ${entry.least} and ${entry.most} ${entry.unit === 'titre' ? '' : entry.unit}.`.replace(
          ' .',
          '.',
        ),
        { field: 'value' },
      );
}

function heldCheck({ bottle, known, bench }: AssayPlan, grams: number, of: 'bottle' | 'standard'): Result<null> {
  const from = of === 'bottle' ? bottle : known[0];
  const content = from && contentOf(from, bench.tempC);
  const left = content?.ok ? content.value.leftG?.value : undefined;
  return left !== undefined && grams > left * 1.05
    ? fail(
        'out-of-range',
        `${from?.card.name} holds about ${formatNumber(left, 3)} g; ${formatNumber(grams, 3)} g cannot come out of it.`,
        { field: 'value' },
      )
    : ok(null);
}

function levelCheck(plan: AssayPlan, entries: readonly AssayEntry[], body: Read): Result<null> {
  const units = unitCheck(plan, body);
  if (!units.ok) return units;
  const { value, replicate } = body;
  if (value < 0)
    return fail('out-of-range', plan.byMass ? 'A bottle weighs 0 g or more.' : 'A burette has no mark below 0 mL.', {
      field: 'value',
    });
  const over = overBurette(plan, value);
  if (over) return over;
  const told = toldBy(entries);
  const before = levelNow([...told.replicates, ...told.blanks].find(({ key }) => key === replicate)?.levels ?? []);
  if (before === null) return ok(null);
  if (plan.byMass && value > before)
    return fail(
      'out-of-range',
      `The dropper bottle weighed ${formatNumber(before, 5)} g before and grows lighter; if it was filled up, say so.`,
      { field: 'value' },
    );
  if (!plan.byMass && value < before)
    return fail(
      'out-of-range',
      `The burette stood at ${formatNumber(before, 4)} mL and only goes on; if it was filled up, say so.`,
      { field: 'value' },
    );
  return ok(null);
}

function overBurette({ byMass, bench }: AssayPlan, level: number): Result<null> | undefined {
  const { capacityMl } = bench.burette ?? USUAL_BURETTE;
  return !byMass && level > capacityMl
    ? fail(
        'out-of-range',
        `The burette ends at ${capacityMl} mL; ${formatNumber(level, 4)} mL is above it. If it was filled up in the middle, enter both levels there.`,
        { field: 'value' },
      )
    : undefined;
}

function refillCheck(plan: AssayPlan, { from, to }: Extract<AssayBody, { kind: 'refilled' }>): Result<null> {
  if (from < 0 || to < 0) return fail('out-of-range', 'A level is 0 or more.', { field: from < 0 ? 'from' : 'to' });
  const over = overBurette(plan, from) ?? overBurette(plan, to);
  if (over) return over;
  const fuller = plan.byMass ? to > from : to < from;
  return fuller
    ? ok(null)
    : fail(
        'out-of-range',
        plan.byMass
          ? 'Filled up, the bottle weighs more than before.'
          : 'Filled up, a burette stands nearer to 0 than before.',
        { field: 'to' },
      );
}

function endCheck(
  plan: AssayPlan,
  entries: readonly AssayEntry[],
  { replicate, as }: Extract<AssayBody, { kind: 'ended' }>,
): Result<null> {
  if (as === 'spoilt') return ok(null);
  const told = toldBy(entries);
  const at = [...told.replicates, ...told.blanks].find(({ key }) => key === replicate);
  const method = methodById(plan.methodId);
  if (method?.is === 'measured')
    return at ? ok(null) : fail('missing-part', 'Nothing was read of it yet.', { field: 'replicate' });
  if (!at || (!isBlank(replicate) && at.read.sampleG === undefined))
    return fail('missing-part', 'The sample is not weighed yet.', { field: 'sampleG' });
  return at.levels.length >= 2 || at.probed.length >= 2
    ? ok(null)
    : fail(
        'missing-part',
        `Read the ${plan.byMass ? 'dropper bottle' : 'burette'} at the start and at the end first.`,
        { field: 'level' },
      );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
