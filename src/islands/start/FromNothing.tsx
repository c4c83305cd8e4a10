import { useState } from 'react';
import { SECTION_ROLES, type SectionRole } from '@/core/movement';
import { LIMITS, USUAL_SECTIONS } from '@/core/plan';
import { SECTION_TITLES } from '@/core/words';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import type { Begin } from './begin';

/** An empty class with its sections, a target and a breath. */
export function FromNothing({ begin, busy }: { readonly begin: Begin; readonly busy: boolean }) {
  const [targetSeconds, setTarget] = useState(600);
  const [breathSeconds, setBreath] = useState(9);
  const [roles, setRoles] = useState<ReadonlySet<SectionRole>>(new Set(USUAL_SECTIONS));
  const sections = SECTION_ROLES.filter((role) => roles.has(role));
  return (
    <form
      className="grid max-w-2xl gap-x-10 gap-y-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (sections.length > 0) begin({ from: 'nothing', targetSeconds, breathSeconds, sections }, 'New class');
      }}
    >
      <fieldset>
        <legend className="mb-1 font-semibold">Sections</legend>
        {SECTION_ROLES.map((role) => (
          <CheckBox
            key={role}
            label={SECTION_TITLES[role]}
            checked={roles.has(role)}
            onChange={(on) => setRoles(new Set(on ? [...roles, role] : sections.filter((one) => one !== role)))}
          />
        ))}
        {sections.length === 0 && (
          <p role="alert" className="text-error text-sm">
            Choose at least one section.
          </p>
        )}
      </fieldset>
      <div className="flex flex-col gap-3">
        <ClockField
          bare="minutes"
          label="Target"
          seconds={targetSeconds}
          min={LIMITS.targetSeconds.min}
          max={LIMITS.targetSeconds.max}
          onChange={setTarget}
        />
        <NumberField
          label="Breath at the start"
          unit="s"
          digits={1}
          step={0.1}
          value={breathSeconds}
          {...LIMITS.breathSeconds}
          onChange={setBreath}
        />
        <button type="submit" className="btn btn-primary self-start" disabled={busy || sections.length === 0}>
          Create class
        </button>
      </div>
    </form>
  );
}
