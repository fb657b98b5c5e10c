import type { Quantity } from '#base/reading';
import type { Caution } from '#matter/guard';
import type { SubstanceId } from '#matter/substance';
import type { RunStep } from '#run/plan';
import type { StepTemplate } from '#run/route';
import { fillTemplate, type Names, type Sheet, type TextPart } from '#run/sheet';
import { type AdditionLine, type TechniqueName, techniques } from '#run/technique';

/** A step as it stands: its words filled in, what it does, what went in at it. */
export interface StepState extends RunStep {
  readonly title: readonly TextPart[];
  readonly act: readonly TextPart[];
  readonly until: readonly TextPart[];
  readonly expect: readonly TextPart[];
  readonly trouble: readonly TextPart[];
  readonly why: readonly TextPart[];
  readonly skipCosts: readonly TextPart[];
  /** What kind of step it is: which pane it opens with, what is advised at it. */
  readonly technique: TechniqueName;
  /** What is most likely read at it: what its kind makes something of. */
  readonly reads: Quantity;
  readonly where: StepTemplate['where'];
  readonly leave: StepTemplate['leave'];
  readonly ceilingC: number | null;
  readonly timer: StepTemplate['timer'];
  readonly addition: AdditionLine | null;
  readonly cautions: readonly Caution[];
  /** Hours that it waits, least and most: by what it does where that says so, else as its route has it. */
  readonly waitH: readonly [number, number];
  /** Whether its hours follow from what it does, and so from its amounts. */
  readonly modelled: boolean;
  /** °C at which it stands by its plan; null where it has none of its own. */
  readonly standsAtC: number | null;
  /** Gases that come off at it. */
  readonly gases: readonly SubstanceId[];
  /** What its bottle would do with what really is in the vessel, where that must never be; empty where nothing holds it. */
  readonly held: string;
}

/** The kind of step that is shown: what it repeats, even where it does not do it again by itself. */
export function shownTechnique({ template, inserted }: Pick<RunStep, 'template' | 'inserted'>): TechniqueName {
  if (inserted?.does === 'redissolve') return 'redissolve';
  return inserted?.repeats === null ? 'plain' : (template?.op.do ?? 'plain');
}

const KEPT: StepTemplate['leave'] = { alone: false, lookEveryMin: null, reason: '' };

const STAY = { alone: false, reason: 'it could boil over: stay with it' } as const;

/** Whether a step may be left: never one that could boil over, whatever its route says. */
function leaveOf({ template, inserted }: RunStep, sheet: Sheet): StepTemplate['leave'] {
  if (inserted) return { ...inserted.leave, reason: 'as you set it' };
  const heat = (sheet.cautions[template?.id ?? ''] ?? []).find(({ id }) => id === 'heat');
  const leave = template?.leave ?? KEPT;
  return heat?.severity === 'stop' ? { ...leave, ...STAY } : leave;
}

/** `names` are the quantities as they are now; for a step that is done, as they were when it was. */
export function stepState(step: RunStep, sheet: Sheet, names: Names): StepState {
  const { template, inserted } = step;
  const fill = (text: string) => fillTemplate(text, names);
  const plain = (text: string): readonly TextPart[] => (text === '' ? [] : [{ is: 'text', text }]);
  return {
    ...step,
    title: inserted ? plain(inserted.title) : fill(template?.title ?? ''),
    act: fill(template?.act ?? ''),
    until: fill(template?.until ?? ''),
    expect: fill(template?.expect ?? ''),
    trouble: fill(template?.trouble ?? ''),
    why: inserted ? plain(inserted.why) : fill(template?.why ?? ''),
    skipCosts: fill(template?.skipCosts ?? ''),
    technique: shownTechnique(step),
    reads: techniques[shownTechnique(step)].takes[0] ?? 'temperature',
    where: template?.where ?? 'anywhere',
    leave: leaveOf(step, sheet),
    ceilingC: template?.ceilingC ?? null,
    timer: template?.timer ?? null,
    addition: sheet.additions.find((line) => line.step === step.key) ?? null,
    cautions: sheet.cautions[template?.id ?? ''] ?? [],
    waitH: template?.waitH ?? [0, 0],
    modelled: false,
    standsAtC: null,
    gases: [],
    held: '',
  };
}
