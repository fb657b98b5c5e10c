import { useDraggable, useDroppable } from '@dnd-kit/core';
import { lengthText, type WeekClock } from '../parts/when-text.ts';
import type { Card } from './days.ts';

interface StepCardProps {
  readonly card: Card;
  readonly clock: WeekClock;
  /** The first of those that follow one another: how soon all of them may come. */
  readonly first: boolean;
  readonly chosen: boolean;
  /** Stands elsewhere than in the plan that was kept. */
  readonly moved: boolean;
  readonly amiss: boolean;
  readonly onChoose: () => void;
}

/** A step on its day: when, of which batch, how long. A tap chooses it, a drag puts it elsewhere. */
export function StepCard({ card: { task, placed }, clock, first, chosen, moved, amiss, onChoose }: StepCardProps) {
  const fixed = task.startedMin !== undefined;
  const drag = useDraggable({ id: task.id, disabled: fixed });
  const drop = useDroppable({ id: `before ${task.id}` });
  const begins = clock.hour(placed.from);
  const early = first && placed.from - placed.earliest >= 10 ? clock.beside(placed.earliest, placed.from) : null;
  return (
    <li ref={drop.setNodeRef} className={drop.isOver ? 'week-card-slot week-over' : 'week-card-slot'}>
      <button
        ref={drag.setNodeRef}
        type="button"
        className={classes({ task, chosen, moved, amiss, dragging: drag.isDragging })}
        aria-pressed={chosen}
        onClick={onChoose}
        {...drag.listeners}
      >
        <span className="week-card-when">
          {fixed ? 'under way' : begins}
          {early && !fixed ? <small>or from {early}</small> : null}
        </span>{' '}
        <span className="week-card-what">{task.title}</span> <span className="quiet small">{needs(task, placed)}</span>
      </button>
    </li>
  );
}

/** What it wants of a person: “10 min”, “1 h 35, staying”. */
function needs(task: Card['task'], { from, presentUntil, over }: Card['placed']): string {
  if (task.startedMin !== undefined) return over[1] > over[0] ? 'goes on' : '';
  const stays = task.wait === 'stay' && presentUntil - from > task.handsOnMin + 1;
  return `${lengthText(stays ? presentUntil - from : task.handsOnMin)}${stays ? ', staying' : ''}`;
}

function classes(of: {
  task: Card['task'];
  chosen: boolean;
  moved: boolean;
  amiss: boolean;
  dragging: boolean;
}): string {
  const { task, chosen, moved, amiss, dragging } = of;
  return [
    'week-card',
    task.wait === 'stay' && task.waitMin[1] > 0 ? 'week-stay' : '',
    task.pinnedMin === undefined ? '' : 'week-pinned',
    task.startedMin === undefined ? '' : 'week-begun',
    chosen ? 'week-chosen' : '',
    moved ? 'week-moved' : '',
    amiss ? 'week-amiss' : '',
    dragging ? 'week-dragging' : '',
  ]
    .filter((each) => each !== '')
    .join(' ');
}
