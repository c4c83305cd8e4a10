import { CAUTIONS, SECTION_ROLES, SIDE_PLANS, STANCES, type MovementFilter } from '@/core/movement';
import { CAUTION_WORDS, ROLE_WORDS, SIDE_PLAN_WORDS, STANCE_WORDS } from '@/messages/movement';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';

interface Props {
  readonly filter: MovementFilter;
  readonly onChange: (filter: MovementFilter) => void;
  readonly archived: boolean;
  readonly onArchived: (archived: boolean) => void;
}

/** What narrows the list. */
export function Filters({ filter, onChange, archived, onArchived }: Props) {
  const set = (part: Partial<MovementFilter>): void => onChange({ ...filter, ...part });
  const narrowed = Object.values(filter).some((value) => value !== undefined && value !== false);
  return (
    <div className="grid gap-x-6 gap-y-1 max-md:grid-cols-2 max-sm:gap-x-3" role="group" aria-label="Filters">
      <Narrow
        label="Part"
        value={filter.role}
        values={SECTION_ROLES}
        words={(role) => ROLE_WORDS[role]}
        onChange={(role) => set({ role })}
      />
      <Narrow
        label="Stance"
        value={filter.stance}
        values={STANCES}
        words={(stance) => STANCE_WORDS[stance]}
        onChange={(stance) => set({ stance })}
      />
      <Narrow
        label="Sides"
        value={filter.sides}
        values={SIDE_PLANS}
        words={(sides) => SIDE_PLAN_WORDS[sides]}
        onChange={(sides) => set({ sides })}
      />
      <Narrow
        label="Caution"
        value={filter.caution}
        values={CAUTIONS}
        words={(caution) => CAUTION_WORDS[caution].name}
        onChange={(caution) => set({ caution })}
      />
      <Narrow
        label="Levels"
        value={filter.levels === undefined ? undefined : (String(filter.levels) as '2' | '3')}
        values={['2', '3'] as const}
        words={(levels) => `${levels} or more`}
        onChange={(levels) => set({ levels: levels === undefined ? undefined : Number(levels) })}
      />
      <Narrow
        label="Done"
        value={filter.posture}
        values={['standing', 'seated'] as const}
        words={(posture) => posture}
        onChange={(posture) => set({ posture })}
      />
      <CheckBox
        label="Without cautions"
        checked={filter.noCaution ?? false}
        onChange={(noCaution) => set({ noCaution })}
      />
      <CheckBox label="Archive" checked={archived} onChange={onArchived} />
      {narrowed && (
        <button type="button" className="btn btn-xs self-start" onClick={() => onChange({})}>
          Clear filters
        </button>
      )}
    </div>
  );
}

interface NarrowProps<Value extends string> {
  readonly label: string;
  readonly value: Value | undefined;
  readonly values: readonly Value[];
  readonly words: (value: Value) => string;
  readonly onChange: (value: Value | undefined) => void;
}

function Narrow<Value extends string>({ label, value, values, words, onChange }: NarrowProps<Value>) {
  return (
    <Choice
      label={label}
      value={value ?? 'all'}
      options={[{ value: 'all', label: 'all' }, ...values.map((one) => ({ value: one, label: words(one) }))]}
      onChange={(chosen) => onChange(values.find((one) => one === chosen))}
    />
  );
}
