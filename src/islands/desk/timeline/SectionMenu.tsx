import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { SECTION_ROLES } from '@/core/movement';
import { copySection, LIMITS, type Section, setSection } from '@/core/plan';
import { SECTION_TITLES } from '@/core/words';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { Dialog } from '@/ui/parts/Dialog';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { useDesk, useDeskStore } from '../use-desk';

/** What can be done with a section: name, role, order, copy, removal. */
export function SectionMenu({ section }: { readonly section: Section }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const [open, setOpen] = useState(false);
  const index = plan.sections.findIndex((one) => one.id === section.id);
  const sectionId = section.id;
  return (
    <>
      <button
        type="button"
        className="btn btn-xs btn-square btn-ghost"
        aria-label={`Change section ${section.title}`}
        onClick={() => setOpen(true)}
      >
        <Ellipsis size={14} aria-hidden />
      </button>
      {open && (
        <Dialog title="Section" onClose={() => setOpen(false)}>
          <TextField
            label="Title"
            needed
            value={section.title}
            max={LIMITS.titleCharacters}
            onChange={(value) => desk.edit(setSection(sectionId, 'title', value), `title ${sectionId}`)}
          />
          <Choice
            label="Role in the class"
            value={section.role}
            options={SECTION_ROLES.map((role) => ({ value: role, label: SECTION_TITLES[role] }))}
            onChange={(value) => {
              const role = setSection(sectionId, 'role', value);
              // A title of one's own stays; that of a role follows the role.
              const usual = Object.values<string>(SECTION_TITLES).includes(section.title);
              const title = setSection(sectionId, 'title', SECTION_TITLES[value]);
              desk.edit(usual ? { kind: 'together', edits: [role, title] } : role);
            }}
          />
          <CheckBox
            label="Own breath for this section"
            checked={section.paceMultiplier !== null}
            onChange={(own) => desk.edit(setSection(sectionId, 'paceMultiplier', own ? 1 : null))}
          />
          {section.paceMultiplier !== null && (
            <NumberField
              label={`Breath: ${(plan.pace.breathSeconds * section.paceMultiplier).toFixed(1)} s`}
              unit="×"
              digits={2}
              step={0.05}
              value={section.paceMultiplier}
              {...LIMITS.paceMultiplier}
              onChange={(value) => desk.edit(setSection(sectionId, 'paceMultiplier', value), `pace ${sectionId}`)}
            />
          )}
          <CheckBox
            label="Own inhale share"
            checked={section.inhaleShare !== null}
            onChange={(own) => desk.edit(setSection(sectionId, 'inhaleShare', own ? plan.pace.inhaleShare : null))}
          />
          {section.inhaleShare !== null && (
            <NumberField
              label="Inhale share"
              unit="%"
              value={Math.round(section.inhaleShare * 100)}
              min={LIMITS.inhaleShare.min * 100}
              max={LIMITS.inhaleShare.max * 100}
              onChange={(value) => desk.edit(setSection(sectionId, 'inhaleShare', value / 100), `in ${sectionId}`)}
            />
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-sm"
              disabled={index === 0}
              onClick={() => desk.edit({ kind: 'move-section', sectionId, toIndex: index - 1 })}
            >
              Move up
            </button>
            <button
              type="button"
              className="btn btn-sm"
              disabled={index === plan.sections.length - 1}
              onClick={() => desk.edit({ kind: 'move-section', sectionId, toIndex: index + 1 })}
            >
              Move down
            </button>
            <button
              type="button"
              className="btn btn-sm"
              onClick={() => {
                desk.edit({
                  kind: 'insert-section',
                  index: index + 1,
                  section: copySection(() => crypto.randomUUID(), section),
                });
                setOpen(false);
              }}
            >
              Duplicate
            </button>
            <button
              type="button"
              className="btn btn-sm text-error"
              onClick={() => {
                setOpen(false);
                desk.edit({ kind: 'remove-section', sectionId });
              }}
            >
              Remove
            </button>
          </div>
          <p className="quiet-ink mt-3 text-sm">Everything here can be undone.</p>
        </Dialog>
      )}
    </>
  );
}
