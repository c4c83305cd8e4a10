/**
 * Speed and memory, side by side in one run: `npm run bench`. Ratios against a peer where there is one; nothing here
 * is asserted in the tests. How much a page loads first is said by `scripts/first-load.ts`.
 */
import { itemAt } from '@/core/units';
import { readCaptions, writeWebvtt } from '../src/core/interchange';
import { fitPlan, reachOf } from '../src/core/pacing';
import { emptyPlan, makeMovement, makeSection, makeTalk, type ClassPlan } from '../src/core/plan';
import { readTake } from '../src/core/reading';
import { expandPlan } from '../src/core/timeline';
import { demoClasses } from '../src/demo/classes';
import { countingIds } from '../tests/support/chance';
import { denseCaptions } from './dense-captions';
import { benchFits } from './fits';
import { benchLanding } from './landing';
import { benchLibrary } from './library';
import { ms, timed } from './measure';
import { measureReplan } from './replan-in-browser';
import { benchLongText } from './long-text';
import { benchScript } from './script';
import { measureFirstViews } from './first-view';
import { benchList } from './list';

/** Three hours of movements with words. */
function longPlan(): ClassPlan {
  const newId = countingIds('l');
  const parts = Array.from({ length: 150 }, (_, index) => [
    makeTalk(newId, 'Talk', [
      `Now the ${index + 1} st of many. Stand easy, and let the shoulders hang from the neck like wet rope.`,
    ]),
    makeMovement(newId, 'Movement', { preferredRounds: 7, rounds: 7, fade: ['full'] }),
  ]);
  return {
    ...emptyPlan(newId, 'Long', 10_800, 9),
    sections: [
      makeSection(newId, 'main', parts.slice(0, 75).flat()),
      makeSection(newId, 'main', parts.slice(75).flat()),
    ],
  };
}

function benchTimeline(): void {
  const plan = longPlan();
  const timeline = expandPlan(plan);
  const { median, p95 } = timed(() => expandPlan(plan), 40);
  console.log(
    `expanding ${(timeline.runtimeSeconds / 3600).toFixed(1)} h (${timeline.phases.length} phases, ${timeline.cues.length} cues): median ${ms(median)}, 95th percentile ${ms(p95)}`,
  );
  const live = demoClasses().find((demo) => demo.name === 'thursday-live')?.plan ?? plan;
  const hour = timed(() => [expandPlan(live), reachOf(live)], 60);
  console.log(
    `an edit's replan on an hour's class, in Node (timeline and reach): median ${ms(hour.median)}, 95th percentile ${ms(hour.p95)}`,
  );
  const refit = timed(() => fitPlan(live), 40);
  console.log(`fit of the hour's demo class: median ${ms(refit.median)}, 95th percentile ${ms(refit.p95)}`);
}

function benchCaptions(): void {
  const timeline = expandPlan(longPlan());
  const captions = timeline.cues.map((cue) => ({
    startSeconds: cue.startSeconds * 1.03,
    endSeconds: cue.startSeconds * 1.03 + 0.9,
    text: cue.text,
  }));
  const text = writeWebvtt(captions);
  const parse = timed(() => readCaptions(text), 10);
  console.log(
    `reading a caption file of 3 h (${captions.length} captions, ${Math.round(text.length / 1024)} KB): median ${ms(parse.median)}`,
  );
  const before = process.memoryUsage().heapUsed;
  const began = performance.now();
  const reading = readTake(timeline, { captions, speech: null, lengthSeconds: null });
  const grown = (process.memoryUsage().heapUsed - before) / 1024 / 1024;
  console.log(
    `  aligning it with its plan: ${ms(performance.now() - began)}, ${reading.totals.said} of ${reading.cues.length} cues found, heap grew by ${grown.toFixed(0)} MB`,
  );
  const hour = expandPlan(
    (demoClasses().find(({ plan }) => plan.targetSeconds === 3600) ?? itemAt(demoClasses(), 0)).plan,
  );
  const max = Array.from({ length: 20_000 }, (_, at) => ({
    startSeconds: at * 0.7,
    endSeconds: at * 0.7 + 0.6,
    text: itemAt(hour.cues, at % hour.cues.length).text,
  }));
  const long = timed(() => readTake(hour, { captions: max, speech: null, lengthSeconds: 14_400 }), 3);
  console.log(`reading 20 000 captions, as many as are taken, against an hour's class: median ${ms(long.median)}`);
  for (const [minutes, breath] of [
    [25, 4],
    [180, 9],
  ] as const) {
    const { timeline: dense, captions: short, lengthSeconds } = denseCaptions(minutes, breath);
    const used = process.cpuUsage();
    const { totals, cues } = readTake(dense, { captions: short, speech: null, lengthSeconds });
    const { user, system } = process.cpuUsage(used);
    console.log(
      `reading ${short.length} short captions of ${minutes} minutes (${cues.length} cues, ${totals.said} found): ${ms((user + system) / 1000)} of processor time`,
    );
  }
  const demo = expandPlan(itemAt(demoClasses(), 0).plan);
  const speech = demo.cues.map((cue) => ({
    startSeconds: cue.startSeconds * 1.05 + 2,
    endSeconds: cue.endSeconds * 1.05 + 2,
  }));
  const sound = timed(() => readTake(demo, { captions: null, speech, lengthSeconds: null }), 5);
  console.log(`aligning ten minutes by sound alone (${speech.length} stretches): median ${ms(sound.median)}`);
}

await benchFits();
benchLibrary();
await benchList();
benchTimeline();
benchScript();
benchLongText();
benchLanding();
benchCaptions();
await measureReplan();
await measureFirstViews();
