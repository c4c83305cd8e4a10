import type { SaidCepstra } from '@/core/align';
import { plainProgram } from '@/sound/plain-program';
import { cepstraOfLine, PlainVoice } from '@/sound/plain-voice';

/**
 * What each text sounds like in the plain voice. `goOn` is asked between lines and told how far it got; when it says
 * no, the result is `null`. A line that cannot be said is left out.
 */
export async function textsAsSaid(
  texts: readonly string[],
  goOn: (share: number) => Promise<boolean>,
): Promise<Map<string, SaidCepstra> | null> {
  const voice = new PlainVoice(await plainProgram(), 'slt');
  const said = new Map<string, SaidCepstra>();
  for (const [index, text] of texts.entries()) {
    const cepstra = await cepstraOfLine(voice, text).catch(() => null);
    if (cepstra) said.set(text, cepstra);
    if (index % 4 === 0 && !(await goOn(index / texts.length))) return null;
  }
  return said;
}
