import { asDoc, renamedFields, type Doc } from '@/core/document';

const NAMES_BEFORE_2: ReadonlyMap<string, string> = new Map([
  ['remarks', 'adLibs'],
  ['saidAtSeconds', 'actualStart'],
]);

/** Hand work from before readings of version 2, as it is done now; anything else as it is. */
export function handWorkSince2(raw: unknown): unknown {
  const document = asDoc(raw);
  if (!('remarks' in document)) return raw;
  const { corrections, cuts, ...rest } = renamedFields(document, NAMES_BEFORE_2);
  const corrected: Record<string, Doc> = {};
  for (const [cue, one] of Object.entries(asDoc(corrections))) {
    corrected[cue] = renamedFields(asDoc(one), NAMES_BEFORE_2);
  }
  const stretches: unknown = Array.isArray(cuts) ? cuts.map(cutSince2) : cuts;
  return { ...rest, corrections: corrected, cuts: stretches };
}

function cutSince2(cut: unknown): Doc {
  const { reason, ...rest } = asDoc(cut);
  return { ...rest, reason: reason === 'remark' ? 'ad-lib' : reason };
}
