import { LIMITS, type TalkStep } from '@/core/plan';
import { tempoWords } from '@/messages/fit';
import { CheckBox } from '@/ui/parts/CheckBox';
import { NumberField } from '@/ui/parts/NumberField';
import { SpokenLines } from '@/ui/parts/SpokenLines';
import { asJson } from '../movement/set-content';
import type { SetField } from './set-field';

/** A talk: its lines, and how much slower or quicker the fit may have it said. */
export function TalkFields({ step, set }: { readonly step: TalkStep; readonly set: SetField }) {
  const { tempo } = LIMITS;
  return (
    <div className="flex flex-col">
      <SpokenLines title="Lines" lines={step.lines} onChange={(lines) => set('lines', asJson(lines))} />
      <h3 className="font-semibold">Tempo: {tempoWords(step.tempo)}</h3>
      <NumberField
        label="May be said quicker, down to"
        unit="%"
        value={Math.round(step.leastTempo * 100)}
        least={tempo.least * 100}
        most={Math.round(step.mostTempo * 100)}
        onChange={(value) => set('leastTempo', value / 100)}
      />
      <NumberField
        label="May be said slower, up to"
        unit="%"
        value={Math.round(step.mostTempo * 100)}
        least={Math.round(step.leastTempo * 100)}
        most={tempo.most * 100}
        onChange={(value) => set('mostTempo', value / 100)}
      />
      <CheckBox label="Pin this tempo" checked={step.pinned} onChange={(pinned) => set('pinned', pinned)} />
      <CheckBox
        label="It says a caution: never left out"
        checked={step.caution}
        onChange={(caution) => set('caution', caution)}
      />
    </div>
  );
}
