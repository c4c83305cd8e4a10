import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { afterAll, describe, expect, it } from 'vitest';
import { writeSsml } from '@/core/interchange';
import { publish } from '@/core/publish';
import { readWav } from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';

/* Source: W3C, Speech Synthesis Markup Language 1.1; spoken by espeak-ng, well-formedness by fast-xml-parser. */

const folder = mkdtempSync(join(tmpdir(), 'calm-ssml-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** Seconds that espeak-ng takes for it. */
function spokenSeconds(ssml: string): number {
  const [source, out] = [join(folder, 'in.ssml'), join(folder, 'out.wav')];
  writeFileSync(source, ssml);
  execFileSync('espeak-ng', ['-m', '-f', source, '-w', out]);
  const wav = readWav(readFileSync(out));
  if (!wav.ok) throw new Error(wav.problem.code);
  return wav.value.samples.length / wav.value.sampleRate;
}

describe('SSML', () => {
  it('is well formed and holds every line, whatever is in it', () => {
    const text = writeSsml(
      [
        { text: 'a < b & "c" > d', startSeconds: 1, endSeconds: 2 },
        { text: 'qì \u0001 ]]> 🌊', startSeconds: 1.5, endSeconds: 3 },
      ],
      { lengthSeconds: 10, syllablesPerMinute: 190 },
    );
    expect(XMLValidator.validate(text)).toBe(true);
    const { speak } = new XMLParser({ ignoreAttributes: false }).parse(text) as {
      speak: { '@_version': string; prosody: { s: string[]; break: { '@_time': string }[] } };
    };
    expect(speak['@_version']).toBe('1.1');
    expect(speak.prosody.s[0]).toBe(
      'a &lt; b &amp; "c" &gt; d'.replace(/&lt;/, '<').replace(/&gt;/, '>').replace('&amp;', '&'),
    );
    expect(speak.prosody.break.map((one) => one['@_time'])).toEqual(['1000ms', '7000ms']);
  });

  it.each(
    demoClasses()
      .slice(0, 3)
      .map(({ name, plan }) => [name, plan] as const),
  )('%s is spoken by espeak-ng within a tenth of its plan', (name, plan) => {
    const timeline = expandPlan(plan);
    const seconds = spokenSeconds(publish(plan, timeline, 'ssml', null).text);
    console.log(`${name}: planned ${timeline.runtimeSeconds.toFixed(1)} s, spoken ${seconds.toFixed(1)} s`);
    expect(Math.abs(seconds - timeline.runtimeSeconds) / timeline.runtimeSeconds).toBeLessThan(0.1);
  });
});
