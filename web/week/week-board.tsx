import { DndContext, type DragEndEvent, type DragOverEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import { type Day, placeOn } from './days.ts';
import type { Held } from './use-planned.ts';

interface WeekBoardProps {
  readonly days: readonly Day[];
  readonly held: Held | null;
  /** A step is held over a place, or let go of. */
  readonly onHold: (held: Held | null) => void;
  readonly onPut: (id: string, min: number) => void;
  readonly column: (day: Day) => ReactNode;
}

/** The days beside one another; a step is dragged to another place, and the week is seen as it would be there before it is put down. */
export function WeekBoard({ days, held, onHold, onPut, column }: WeekBoardProps) {
  // A tap is no drag.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 8 } }));
  const over = ({ active, over: place }: DragOverEvent) => {
    const id = String(active.id);
    const min = place ? minuteAt(days, String(place.id), id) : undefined;
    if (min === undefined) onHold(null);
    else if (held?.id !== id || held.min !== min) onHold({ id, min });
  };
  const end = ({ active, over: place }: DragEndEvent) => {
    if (!place || !held || held.id !== String(active.id)) return onHold(null);
    onPut(held.id, held.min);
  };
  return (
    <DndContext sensors={sensors} onDragOver={over} onDragEnd={end} onDragCancel={() => onHold(null)}>
      <div className="week-days">{days.map(column)}</div>
    </DndContext>
  );
}

/** The minute that a place under a dragged step stands for; undefined over itself, where it stays as it is. */
function minuteAt(days: readonly Day[], place: string, id: string): number | undefined {
  if (place === `before ${id}`) return undefined;
  if (place.startsWith('before ')) {
    const before = place.slice('before '.length);
    const day = days.find(({ cards }) => cards.some(({ task }) => task.id === before));
    return day && placeOn(day, before, id);
  }
  const day = days.find((each) => `day ${each.day}` === place);
  return day && placeOn(day, null, id);
}
