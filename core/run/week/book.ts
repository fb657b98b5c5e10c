import { meets, type Stretch } from '#base/time';
import { Gear } from './gear.ts';
import { type Held, Lane } from './lane.ts';
import { presentMin, type Task, type WeekInput, wholeMin } from './task.ts';

/** A stretch in which a step holds the person: its hands, then what is only stayed with. */
interface HeldPerson extends Held {
  readonly hands: Stretch;
  readonly task: Task;
}

/** What is held so far, and by which step: the person, each piece of gear, the air of the room. */
export interface Book {
  readonly person: Lane<HeldPerson>;
  readonly gear: Gear;
  readonly air: Lane<Held & { readonly task: Task }>;
  readonly over: Map<string, number>;
}

export const emptyBook = (pieces: WeekInput['pieces'] = {}): Book => ({
  person: new Lane(),
  gear: new Gear(pieces),
  air: new Lane(),
  over: new Map(),
});

/** Minutes that a step really takes, where that is known to be otherwise than it is planned with. */
export interface Really {
  readonly handsOnMin: number;
  readonly waitMin: number;
}

/** Until when somebody is there for a step, and when it is over, from when it begins. */
export function endsOf(task: Task, from: number, really?: Really): readonly [present: number, over: number] {
  if (!really) return [from + presentMin(task), from + wholeMin(task)];
  const over = from + really.handsOnMin + really.waitMin;
  return [task.wait === 'stay' ? over : from + really.handsOnMin, over];
}

/** How a step holds the person. */
export function holding(task: Task, from: number, really?: Really): HeldPerson {
  const [present] = endsOf(task, from, really);
  const hands = from + (really?.handsOnMin ?? task.handsOnMin);
  return { id: task.id, stretch: [from, present], hands: [from, hands], task };
}

/** Whether one of two may be done while the other is only stayed with: it is short, and at the same place. */
export function besideOneAnother(a: HeldPerson, b: HeldPerson, besideMin: number): boolean {
  if (a.task.daylight !== b.task.daylight) return false;
  const beside = (short: HeldPerson, long: HeldPerson) =>
    short.task.wait !== 'stay' &&
    presentMin(short.task) <= besideMin &&
    long.task.wait === 'stay' &&
    !meets(short.stretch, long.hands);
  return beside(a, b) || beside(b, a);
}

/** The step that a step would meet in the person’s hands, and that lasts longest. */
export function clashingPerson(
  book: Book,
  task: Task,
  { from, besideMin }: { readonly from: number; readonly besideMin: number },
): Held | undefined {
  const own = holding(task, from);
  const found = book.person.meeting(own.stretch, (each) => !besideOneAnother(own, each, besideMin));
  // Only its hands are in the way of what may be done beside the rest of it.
  if (!found) return undefined;
  const after = holding(task, found.hands[1]);
  return found.hands[1] > from && besideOneAnother(after, found, besideMin)
    ? { ...found, stretch: found.hands }
    : found;
}

/** Writes a step into the book. */
export function hold(
  book: Book,
  task: Task,
  { from, really }: { readonly from: number; readonly really: Really | undefined },
): void {
  const [present, over] = endsOf(task, from, really);
  const stretch: Stretch = [from, over];
  if (present > from) book.person.add(holding(task, from, really));
  for (const each of task.gear) book.gear.hold(each, { id: task.id, stretch });
  if (task.gives?.length || task.shuns?.length) book.air.add({ id: task.id, task, stretch });
  book.over.set(task.id, over);
}

/** Strikes a step out of the book again. */
export function release(book: Book, { id, gear }: Task): void {
  book.person.remove(id);
  for (const each of gear) book.gear.release(each, id);
  book.air.remove(id);
  book.over.delete(id);
}

/** Whether two steps must not go on beside one another, for what one gives off and the other must not meet. */
export function apart(a: Task, b: Task): boolean {
  const shuns = (x: Task, y: Task) => x.shuns?.some((each) => y.gives?.includes(each)) ?? false;
  return shuns(a, b) || shuns(b, a);
}

/** What in the air a step would meet at a stretch, and lasts longest. */
export function clashingAir(book: Book, task: Task, stretch: Stretch): Held | undefined {
  if (!task.gives?.length && !task.shuns?.length) return undefined;
  return book.air.meeting(stretch, (each) => each.task.batch !== task.batch && apart(each.task, task));
}
