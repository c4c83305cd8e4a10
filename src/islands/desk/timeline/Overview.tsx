import {
  closestCenter,
  type Announcements,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Plus } from 'lucide-react';
import { memo, useMemo } from 'react';
import { findStep, makeSection, stepsInOrder, type Section, type Step } from '@/core/plan';
import { itemAt, formatClock } from '@/core/units';
import { dropStep } from './moves';
import { SectionMenu } from './SectionMenu';
import type { DeskStore } from '../desk-store';
import { useDesk, useDeskStore } from '../use-desk';

// Kept from one drawing to the next: new ones would have every step drawn again.
const POINTER = { activationConstraint: { distance: 5 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

/** The whole class at one glance: sections with their start, steps to be found, chosen and put in order. */
export function Overview() {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const sensors = useSensors(useSensor(PointerSensor, POINTER), useSensor(KeyboardSensor, KEYBOARD));
  const accessibility = useMemo(
    () => ({ announcements: announcementsOf(desk), screenReaderInstructions: { draggable: HOW_TO_MOVE } }),
    [desk],
  );
  // The same list while the order stays, so that an edit of one step does not draw all the others again.
  const order = stepsInOrder(plan)
    .map(({ step }) => step.id)
    .join(' ');
  const ids = useMemo(() => order.split(' '), [order]);
  const longest = Math.max(1, ...timeline.sections.map((section) => section.endSeconds - section.startSeconds));
  return (
    <nav aria-label="Sections and steps" className="px-2 py-3">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={accessibility}
        onDragEnd={({ active, over }) => {
          const edit = over ? dropStep(desk.getState().plan, String(active.id), String(over.id)) : null;
          if (edit) desk.edit(edit);
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {plan.sections.map((section, index) => {
            const { startSeconds, endSeconds } = itemAt(timeline.sections, index);
            return (
              <SectionEntry
                key={section.id}
                section={section}
                startSeconds={startSeconds}
                share={(endSeconds - startSeconds) / longest}
              />
            );
          })}
        </SortableContext>
      </DndContext>
      <button
        type="button"
        className="btn btn-sm mt-3 w-full"
        onClick={() =>
          desk.edit({
            kind: 'insert-section',
            index: plan.sections.length,
            section: makeSection(() => crypto.randomUUID(), 'main'),
          })
        }
      >
        <Plus size={14} aria-hidden />
        Add a section
      </button>
    </nav>
  );
}

const HOW_TO_MOVE =
  'Press Space to pick up the step, the arrow keys to move it, Space again to put it down, Escape to cancel.';

/** What is said while a step is moved: names and places, no ids. */
function announcementsOf(desk: DeskStore): Announcements {
  const nameOf = (id: string | number): string => {
    const { plan } = desk.getState();
    const section = plan.sections.find((one) => one.id === id);
    return section?.title ?? findStep(plan, String(id))?.step.name ?? 'the step';
  };
  const placeOf = (id: string | number): string => {
    const { plan } = desk.getState();
    const found = findStep(plan, String(id));
    if (!found) return `the start of ${nameOf(id)}`;
    return `place ${found.index + 1} of ${found.section.steps.length} in ${found.section.title}`;
  };
  return {
    onDragStart: ({ active }) => `Picked up ${nameOf(active.id)}, at ${placeOf(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} is over ${placeOf(over.id)}.` : `${nameOf(active.id)} is over no place.`,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} was put at ${placeOf(over.id)}.` : `${nameOf(active.id)} stayed where it was.`,
    onDragCancel: ({ active }) => `Cancelled. ${nameOf(active.id)} is back at ${placeOf(active.id)}.`,
  };
}

interface SectionEntryProps {
  readonly section: Section;
  readonly startSeconds: number;
  readonly share: number;
}

function SectionEntry({ section, startSeconds, share }: SectionEntryProps) {
  const { setNodeRef, isOver } = useDroppable({ id: section.id });
  return (
    <div className="mb-2">
      <div ref={setNodeRef} className={`flex items-center gap-1 rounded ${isOver ? 'bg-secondary' : ''}`}>
        <a
          href={`#section-${section.id}`}
          className="min-h-6 flex-1 truncate rounded font-semibold"
          onClick={(event) => {
            event.preventDefault();
            document.getElementById(`section-${section.id}`)?.scrollIntoView({ block: 'start' });
          }}
        >
          {section.title}
        </a>
        <span className="quiet-ink text-sm">{formatClock(startSeconds)}</span>
        <SectionMenu section={section} />
      </div>
      <div className="bg-base-300 mb-1 h-1 rounded" aria-hidden>
        <div className="h-1 rounded" style={{ width: `${Math.max(2, share * 100)}%`, background: 'var(--said-bar)' }} />
      </div>
      <ul aria-label={`Steps of ${section.title}`}>
        {section.steps.map((step) => (
          <StepEntry key={step.id} step={step} />
        ))}
      </ul>
    </div>
  );
}

const StepEntry = memo(function StepEntry({ step }: { readonly step: Step }) {
  const desk = useDeskStore();
  const selected = useDesk((state) => state.selectedId === step.id || state.group.includes(step.id));
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center rounded ${selected ? 'bg-secondary' : ''} ${isDragging ? 'bg-base-100 z-20 shadow' : ''}`}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="quiet-ink flex h-7 w-7 shrink-0 cursor-grab items-center justify-center rounded"
        {...attributes}
        {...listeners}
        aria-label={`Move ${step.name}`}
      >
        <GripVertical size={14} aria-hidden />
      </button>
      <button
        type="button"
        className="min-h-7 flex-1 truncate rounded text-left"
        aria-current={selected ? 'true' : undefined}
        onClick={(event) => {
          if (event.shiftKey || event.ctrlKey || event.metaKey) {
            desk.selectMore(step.id, event.shiftKey ? 'up-to' : 'this-too');
            return;
          }
          desk.select(step.id);
          document.getElementById(`step-${step.id}`)?.scrollIntoView({ block: 'center' });
        }}
      >
        {step.skipped ? <s className="quiet-ink">{step.name}</s> : step.name}
      </button>
    </li>
  );
});
