import { ChevronDown, ChevronRight, Repeat2 } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { blocksOf, secondPassId, stanceGaps, stepsInOrder, type ClassPlan, type Step } from '@/core/plan';
import { sharePercent, type TimedStep } from '@/core/timeline';
import { itemAt, formatClock } from '@/core/units';
import { useGrowing } from '@/ui/parts/use-growing';
import { useViewport } from '@/ui/parts/use-viewport';
import { AddStep } from '../on-demand';
import { StanceNotice } from '../inspector/StanceNotice';
import { StepBlock } from './StepBlock';
import { useDesk, useDeskStore } from '../use-desk';

/** A class of more steps than this opens folded; one step is opened at a time by hand. */
const FOLDED_FROM_STEPS = 24;

/** The class as one strip falling down the page, section by section. */
export function TimelineView() {
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const selectedId = useDesk((state) => state.selectedId);
  const group = useDesk((state) => state.group);
  const [toggled, setToggled] = useState<ReadonlySet<string>>(new Set());
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const [allOpen, setAllOpen] = useState<boolean | null>(null);
  const column = useRef<HTMLDivElement>(null);
  const width = useWidth(column);
  const timed = useMemo(() => new Map(timeline.steps.map((step) => [step.step, step])), [timeline]);
  const gaps = useMemo(() => new Map(stanceGaps(plan).map((gap) => [gap.stepId, gap])), [plan]);
  const blockEnds = useMemo(() => lastOfBlocks(plan), [plan]);
  const openAtFirst = allOpen ?? stepsInOrder(plan).length < FOLDED_FROM_STEPS;
  const toggle = useCallback((id: string) => setToggled((before) => flip(before, id)), []);
  // A phone shows one step at a time: the chosen one.
  const oneByOne = useViewport() === 'phone';
  const desk = useDeskStore();
  const chooseAlone = useCallback((id: string) => desk.select(desk.getState().selectedId === id ? null : id), [desk]);
  const places = useMemo(() => new Map(stepsInOrder(plan).map(({ step }, at) => [step.id, at + 1])), [plan]);
  const drawn = useGrowing(plan.sections.length, 1);
  const setAll = (open: boolean): void => {
    setAllOpen(open);
    setToggled(new Set());
    setClosed(new Set());
  };
  return (
    <div ref={column} className="bg-base-100 min-h-full px-3 pb-24 max-md:px-2">
      {!oneByOne && (
        <div className="no-print flex justify-end gap-2 py-2">
          <button type="button" className="btn btn-xs" onClick={() => setAll(true)}>
            Open all
          </button>
          <button type="button" className="btn btn-xs" onClick={() => setAll(false)}>
            Fold all
          </button>
        </div>
      )}
      {plan.sections.slice(0, drawn).map((section, index) => {
        const isOpen = !closed.has(section.id);
        return (
          <section key={section.id} id={`section-${section.id}`} aria-label={section.title}>
            <h2 className="border-base-300 bg-base-100 sticky top-0 z-10 flex items-center border-b py-1">
              <button
                type="button"
                className="flex min-h-8 flex-1 items-center gap-1 rounded text-left font-semibold"
                aria-expanded={isOpen}
                onClick={() => setClosed(flip(closed, section.id))}
              >
                {isOpen ? <ChevronDown size={16} aria-hidden /> : <ChevronRight size={16} aria-hidden />}
                {section.title}
              </button>
              <span className="quiet-ink text-sm">{formatClock(itemAt(timeline.sections, index).startSeconds)}</span>
            </h2>
            {isOpen &&
              section.steps.map((step) => {
                const place = timed.get(step.id);
                if (!place) return null;
                const open = oneByOne ? selectedId === step.id : toggled.has(step.id) !== openAtFirst;
                const gap = gaps.get(step.id);
                const block = (
                  <StepBlock
                    key={step.id}
                    step={step}
                    timed={place}
                    timeline={open ? timeline : null}
                    width={width}
                    share={sharePercent(timeline, place)}
                    open={open}
                    selected={selectedId === step.id || group.includes(step.id)}
                    onToggle={oneByOne ? chooseAlone : toggle}
                    place={oneByOne ? `${places.get(step.id)} of ${places.size}` : null}
                  />
                );
                const again = blockEnds.get(step.id);
                if (!gap && !again) return block;
                return (
                  <div key={step.id}>
                    {gap && <StanceNotice gap={gap} />}
                    {block}
                    {again && <SecondPass block={again} timed={timed} />}
                  </div>
                );
              })}
            {isOpen && <AddStep section={section} />}
          </section>
        );
      })}
      <p className="quiet-ink border-base-300 border-t py-2 text-right text-sm">
        ends {formatClock(timeline.runtimeSeconds)}
      </p>
    </div>
  );
}

/** The blocks of a class by the id of their last step. */
function lastOfBlocks(plan: ClassPlan): ReadonlyMap<string, readonly Step[]> {
  const blocks = plan.sections.flatMap(({ steps }) =>
    blocksOf(steps).filter(([first]) => (first?.blockId ?? null) !== null),
  );
  return new Map(blocks.map((block) => [block.at(-1)?.id ?? '', block]));
}

/** That a block is done again on the other side, and when. */
function SecondPass({
  block,
  timed,
}: {
  readonly block: readonly Step[];
  readonly timed: ReadonlyMap<string, TimedStep>;
}) {
  const performed = block.flatMap((step) => timed.get(secondPassId(step.id)) ?? []);
  const [first, last] = [performed[0], performed.at(-1)];
  if (!first || !last) return null;
  return (
    <p className="border-secondary bg-base-200 my-1 ml-12 flex items-center gap-2 rounded border-l-4 px-2 py-1 text-sm max-md:ml-2">
      <Repeat2 size={14} aria-hidden />
      <span>
        Again on the other side: {block.map(({ name }) => name).join(', ')} · {formatClock(first.startSeconds)} to{' '}
        {formatClock(last.endSeconds)}
      </span>
    </p>
  );
}

/** The set with `id` put in, or taken out. */
function flip(set: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(id)) next.add(id);
  return next;
}

/** The width of an element as it changes. */
function useWidth(element: React.RefObject<HTMLDivElement | null>): number {
  const [width, setWidth] = useState(760);
  useEffect(() => {
    if (!element.current) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)));
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element]);
  return width;
}
