import { abandoned } from './abandoned.ts';
import { acknowledged } from './acknowledged.ts';
import { added } from './added.ts';
import { assayed } from './assayed.ts';
import { bottled } from './bottled.ts';
import { checked } from './checked.ts';
import { enlarged } from './enlarged.ts';
import { finished } from './finished.ts';
import { lookedInto } from './looked-into.ts';
import { noted } from './noted.ts';
import { photographed } from './photographed.ts';
import { portionTaken } from './portion-taken.ts';
import { portionTested } from './portion-tested.ts';
import { pouredIn } from './poured-in.ts';
import { pouredOff } from './poured-off.ts';
import { prepared } from './prepared.ts';
import { read } from './read.ts';
import { reopened } from './reopened.ts';
import { started } from './started.ts';
import { stepInserted } from './step-inserted.ts';
import { stepSkipped } from './step-skipped.ts';
import { timerSet } from './timer-set.ts';
import { timerStopped } from './timer-stopped.ts';
import { wentWrong } from './went-wrong.ts';

/** Every kind of entry, by the name it is stored under. A new one is a file beside these and a line here. */
export const entryKinds = {
  started,
  added,
  read,
  noted,
  assayed,
  photographed,
  'timer-set': timerSet,
  'timer-stopped': timerStopped,
  'portion-taken': portionTaken,
  'portion-tested': portionTested,
  'step-inserted': stepInserted,
  enlarged,
  'poured-off': pouredOff,
  'poured-in': pouredIn,
  checked,
  'step-skipped': stepSkipped,
  finished,
  reopened,
  acknowledged,
  prepared,
  'went-wrong': wentWrong,
  'looked-into': lookedInto,
  abandoned,
  bottled,
} as const;
