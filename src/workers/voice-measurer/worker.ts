import { expose } from 'comlink';
import { measureVoice, VOICE_PARAGRAPH } from '@/core/voice';
import { listen } from '@/sound/listen';
import type { VoiceMeasurer } from './protocol';

const measurer: VoiceMeasurer = {
  async measure(sound, goOn) {
    const heard = await listen(sound, goOn);
    if (!heard?.ok) return heard;
    return measureVoice(VOICE_PARAGRAPH, { ...heard.value, clippedShare: heard.value.figures.clippedShare });
  },
};

expose(measurer);
