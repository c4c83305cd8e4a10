import { useState } from 'react';
import { LIMITS, readPlan, readPlanText } from '@/core/plan';
import { SCRIPT_LIMITS } from '@/core/plain-script';
import type { Issue } from '@/core/units';
import { decodeText } from '@/files/decode-text';
import { IssueList } from '@/ui/parts/IssueList';
import { readScriptOnce } from '@/workers/script-reader/client';
import type { Begin } from './begin';

/** A plan file (JSON) or a plain script (text) from this computer. */
export function FromFile({ begin, busy }: { readonly begin: Begin; readonly busy: boolean }) {
  const [trouble, setTrouble] = useState<{ readonly name: string; readonly issues: readonly Issue[] } | null>(null);
  const bring = async (file: File): Promise<void> => {
    const refuse = (issues: readonly Issue[]): void => setTrouble({ name: file.name, issues });
    setTrouble(null);
    if (file.size > LIMITS.documentBytes) {
      return refuse([{ code: 'too-large', at: '', facts: { megabytes: LIMITS.documentBytes / 1024 / 1024 } }]);
    }
    const { text } = decodeText(new Uint8Array(await file.arrayBuffer()));
    if (/^\s*[{[]/.test(text) || /\.json$/i.test(file.name)) {
      const read = readPlanText(text);
      return read.ok ? begin({ from: 'plan', plan: read.value }) : refuse(read.problem);
    }
    if (text.includes('\u0000')) return refuse([{ code: 'not-script-file', at: '', facts: {} }]);
    if (text.trim() === '') return refuse([{ code: 'empty-file', at: '', facts: {} }]);
    if (text.length > SCRIPT_LIMITS.characters) {
      return refuse([{ code: 'script-too-long', at: '', facts: { max: SCRIPT_LIMITS.characters } }]);
    }
    const read = await readScriptOnce(text).catch(() => null);
    if (!read) return refuse([{ code: 'script-not-read', at: '', facts: {} }]);
    const { plan, unreadFrom: line } = read;
    if (line !== null) {
      return refuse([{ code: 'script-too-many-steps', at: '', facts: { max: LIMITS.stepsInPlan, line } }]);
    }
    const judged = readPlan(plan);
    return judged.ok ? begin({ from: 'plan', plan: judged.value }) : refuse(judged.problem);
  };
  return (
    <div className="flex max-w-lg flex-col gap-3">
      <p>
        A plan (JSON) or plain script (text), published from Calm Count or written by hand. Paste a script in your own
        words instead: then you see how each line was understood.
      </p>
      <label className="flex flex-col gap-1">
        File
        <input
          type="file"
          className="file-input w-full"
          accept=".json,.txt,.md,application/json,text/plain"
          disabled={busy}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </label>
      {trouble && (
        <div role="alert">
          <p className="text-error">{trouble.name} could not be used. No class was created.</p>
          <IssueList issues={trouble.issues} />
        </div>
      )}
    </div>
  );
}
