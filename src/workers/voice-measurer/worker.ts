import { measureVoice, VOICE_PARAGRAPH } from '@/core/voice';
import { listen } from '@/files/listen';
import type { VoiceReply, VoiceRequest } from './protocol';

addEventListener('message', ({ data }: MessageEvent<VoiceRequest>) => {
  void measure(data).then((reply) => postMessage(reply));
});

async function measure({ sound }: VoiceRequest): Promise<VoiceReply> {
  const heard = await listen(sound, () => Promise.resolve(true));
  if (!heard) return { kind: 'failed', issue: { code: 'not-media', at: '', facts: {} } };
  if (!heard.ok) return { kind: 'failed', issue: heard.problem };
  const found = measureVoice(VOICE_PARAGRAPH, { ...heard.value, clippedShare: heard.value.figures.clippedShare });
  return found.ok ? { kind: 'measured', measure: found.value } : { kind: 'failed', issue: found.problem };
}
