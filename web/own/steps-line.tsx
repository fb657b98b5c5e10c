import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Plan } from '#run/plan';
import type { StepTemplate } from '#run/route';
import { fillTemplate, type Sheet } from '#run/sheet';
import { plainText } from '../parts/sentence.tsx';
import { StepIcon } from '../parts/step-icon.tsx';

interface StepsLineProps {
  readonly plan: Plan;
  readonly sheet: Sheet | undefined;
  readonly chosen: string | null;
  readonly onChoose: (step: string | null) => void;
  /** Puts a step in behind this one; null for the first. */
  readonly onInsert: (after: string | null) => void;
  readonly onMove: (step: string, to: number) => void;
}

/** The steps strung on a line, each drawn: chosen by a tap, moved by drag or with the keyboard, a gap takes a new one. */
export function StepsLine({ plan, sheet, chosen, onChoose, onInsert, onMove }: StepsLineProps) {
  const { steps } = plan.route;
  const ids = steps.map(({ id }) => id);
  const sensors = useSensors(
    // A tap is no drag.
    useSensor(PointerSensor, { activationConstraint: { distance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = over ? ids.indexOf(String(over.id)) : -1;
    if (to >= 0 && active.id !== over?.id) onMove(String(active.id), to);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{ announcements: announcements(steps), screenReaderInstructions: { draggable: INSTRUCTIONS } }}
    >
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <ol className="own-steps" aria-label="Steps">
          <li className="own-gap">
            <Gap label="Put a step in at the beginning" onInsert={() => onInsert(null)} />
          </li>
          {steps.map((step, i) => (
            <Step
              key={step.id}
              step={step}
              number={i + 1}
              title={titleOf(step, sheet)}
              notKnown={lacksDatum(step, sheet)}
              chosen={chosen === step.id}
              onChoose={() => onChoose(chosen === step.id ? null : step.id)}
              onInsert={() => onInsert(step.id)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

const INSTRUCTIONS =
  'Press space to pick the step up, the arrow keys to move it, space again to put it down, Escape to leave it.';

function announcements(steps: readonly StepTemplate[]) {
  const at = (id: unknown) => steps.findIndex((each) => each.id === id) + 1;
  return {
    onDragStart: ({ active }: { active: { id: unknown } }) => `Step ${at(active.id)} is picked up.`,
    onDragOver: ({ over }: { over: { id: unknown } | null }) => (over ? `It would be step ${at(over.id)}.` : undefined),
    onDragEnd: ({ over }: { over: { id: unknown } | null }) => (over ? `It is step ${at(over.id)} now.` : 'It stays.'),
    onDragCancel: () => 'It stays where it was.',
  };
}

interface StepProps {
  readonly step: StepTemplate;
  readonly number: number;
  readonly title: string;
  readonly notKnown: boolean;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onInsert: () => void;
}

function Step({ step, number, title, notKnown, chosen, onChoose, onInsert }: StepProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  return (
    <li
      ref={setNodeRef}
      className={isDragging ? 'own-step own-dragging' : 'own-step'}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? undefined }}
    >
      <div className="own-step-face">
        <button
          type="button"
          ref={setActivatorNodeRef}
          className="own-grip"
          {...attributes}
          {...listeners}
          aria-label={`Move step ${number}: ${title}`}
        >
          <StepIcon technique={step.op.do} />
        </button>
        <button type="button" className="own-step-words" aria-expanded={chosen} onClick={onChoose}>
          {title}
          {notKnown ? <b className="watch"> not known</b> : null}
        </button>
      </div>
      <Gap label={`Put a step in after step ${number}`} onInsert={onInsert} />
    </li>
  );
}

function Gap({ label, onInsert }: { label: string; onInsert: () => void }) {
  return (
    <button type="button" className="own-insert" aria-label={label} title="a step in between" onClick={onInsert}>
      +
    </button>
  );
}

export function titleOf(step: StepTemplate, sheet: Sheet | undefined): string {
  return plainText(fillTemplate(step.title, { ...sheet?.names, ...sheet?.stepNames[step.id] }));
}

/** Something that this step hangs on is not held. */
function lacksDatum({ op }: StepTemplate, sheet: Sheet | undefined): boolean {
  return op.do === 'crystallise' && sheet?.atMost === true;
}
