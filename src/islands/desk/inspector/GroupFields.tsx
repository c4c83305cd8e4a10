import { areNeighbours, blockEdit, copyStep, type Edit, findStep, setStep, skipEdit, type Step } from '@/core/plan';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { useDesk, useDeskStore } from '../use-desk';

/** Neighbours as one block that is done again on the other side. */
function BothSides({ steps }: { readonly steps: readonly Step[] }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const block = steps[0]?.blockId ?? null;
  const isBlock = block !== null && steps.every(({ blockId }) => blockId === block);
  const ids = steps.map(({ id }) => id);
  const fits = areNeighbours(plan, ids);
  return (
    <CheckBox
      label="Do all of this again on the other side"
      title={fits ? undefined : 'Only steps that follow each other in one section'}
      checked={isBlock}
      disabled={!fits}
      onChange={(on) => {
        const edit = blockEdit(steps, on ? crypto.randomUUID() : null);
        if (edit) desk.edit(edit);
      }}
    />
  );
}

/** Steps that the fit changes alike: the same rounds, times by the same share. */
function Tied({ steps }: { readonly steps: readonly Step[] }) {
  const desk = useDeskStore();
  const tie = steps[0]?.tieId ?? null;
  return (
    <CheckBox
      label="Fit these alike"
      title="The same rounds, and times that grow and shrink by the same share"
      checked={tie !== null && steps.every(({ tieId }) => tieId === tie)}
      onChange={(on) => {
        const tieId = on ? crypto.randomUUID() : null;
        desk.edit({ kind: 'together', edits: steps.map((step) => setStep(step, 'tieId', tieId)) });
      }}
    />
  );
}

/** What can be done with several steps chosen at once. */
export function GroupFields() {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const group = useDesk((state) => state.group);
  const together = (edits: readonly Edit[]): void => {
    if (edits.length > 0) desk.edit({ kind: 'together', edits });
  };
  const found = group.flatMap((id) => findStep(plan, id) ?? []);
  const home = found[0]?.section.id ?? '';
  const sameHome = found.every(({ section }) => section.id === home);
  const moveTo = (sectionId: string): void => {
    const length = plan.sections.find((section) => section.id === sectionId)?.steps.length ?? 0;
    together(group.map((stepId) => ({ kind: 'move-step', stepId, toSectionId: sectionId, toIndex: length })));
  };
  const duplicate = (): void => {
    const last = found.at(-1);
    if (!last) return;
    together(
      found.map(({ step }, at) => ({
        kind: 'insert-step',
        sectionId: last.section.id,
        index: last.index + 1 + at,
        step: copyStep(() => crypto.randomUUID(), step),
      })),
    );
  };
  return (
    <aside aria-label="Chosen steps" className="p-4">
      <button type="button" className="btn btn-xs mb-2" onClick={() => desk.select(null)}>
        The whole class
      </button>
      <h2 className="text-lg font-semibold">{group.length} steps chosen</h2>
      <ul className="my-2 list-disc pl-5">
        {found.map(({ step }) => (
          <li key={step.id}>{step.name}</li>
        ))}
      </ul>
      <Choice
        label="Move to"
        value={sameHome ? home : ''}
        options={[
          ...(sameHome ? [] : [{ value: '', label: 'several sections' }]),
          ...plan.sections.map((section) => ({ value: section.id, label: section.title })),
        ]}
        onChange={(sectionId) => {
          if (sectionId !== '') moveTo(sectionId);
        }}
      />
      <BothSides steps={found.map(({ step }) => step)} />
      <Tied steps={found.map(({ step }) => step)} />
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-sm" onClick={duplicate}>
          Duplicate
        </button>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => together(found.map(({ step }) => skipEdit(plan, step.id, !step.skipped)))}
        >
          Skip or include
        </button>
        <button
          type="button"
          className="btn btn-sm text-error"
          onClick={() => {
            together(group.map((stepId) => ({ kind: 'remove-step', stepId })));
            desk.select(null);
          }}
        >
          Remove
        </button>
      </div>
      <p className="quiet-ink mt-3 text-sm">
        Shift with a click chooses all between; Control with a click, or Shift with J and K, one more. Everything here
        can be undone.
      </p>
    </aside>
  );
}
