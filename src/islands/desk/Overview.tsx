import {
  closestCenter,
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
import { makeSection, stepsInOrder, type Section, type Step } from '@/core/plan';
import { formatClock } from '@/core/units';
import { dropStep } from './moves';
import { SectionMenu } from './SectionMenu';
import { useDesk, useDeskStore } from './use-desk';

// Kept from one drawing to the next: new ones would have every step drawn again.
const POINTER = { activationConstraint: { distance: 5 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

/** The whole class at one glance: sections with their start, steps to be found, chosen and put in order. */
export function Overview() {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const sensors = useSensors(useSensor(PointerSensor, POINTER), useSensor(KeyboardSensor, KEYBOARD));
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
        onDragEnd={({ active, over }) => {
          const edit = over ? dropStep(desk.getState().plan, String(active.id), String(over.id)) : null;
          if (edit) desk.edit(edit);
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {plan.sections.map((section, index) => {
            const { startSeconds, endSeconds } = timeline.sections[index];
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
        {step.leftOut ? <s className="quiet-ink">{step.name}</s> : step.name}
      </button>
    </li>
  );
});
