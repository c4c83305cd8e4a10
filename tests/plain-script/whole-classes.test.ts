import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';
import { otherThan, plannedFrom } from '../support/told-plan';

/*
 * Whole classes as people write them down for themselves and for each other, with the plans that are meant: what a line
 * is hangs on those above it. And what such classes showed to be missing, in more forms. Common practice, no published
 * source.
 */

const lines = (text: string): readonly string[] => text.trim().split(/\n\s*/);

const CLASSES: Readonly<Record<string, readonly [script: string, plan: string]>> = {
  'with inset cues, layers, guidance in one line': [
    `Tuesday beginners, 30 min

Shoulder rolls: 8 back, 8 forward
Hip circles 6 each direction
Opening the chest, 6 breaths. Inhale open, exhale close. Elbows stay heavy.
  - arms only first (3x), then add the weight shift (3x)
Parting the reeds - L/R alternate, 10 total
   cue: "soft knees, long neck" on every second one
   cue: "smile" near the end
Standing like a tree 3 min. Guide: feel the soles / let the shoulders hang. Last one: the jaw.
Quiet standing 3 min. Guide: feel the soles / let the shoulders hang. Call them back 15 sec before end.
Shake 1 min`,
    `Shoulder rolls x8 both-directions
     Hip circles x6 both-directions
     Opening the chest x6; round 1 “arms only first”; round 4 “add the weight shift”
     Parting the reeds x10 turn-by-turn; every 2 “soft knees, long neck”; last 2 “smile”
     Standing like a tree held 180 s; “feel the soles / let the shoulders hang.”; last 1 “the jaw.”
     still Quiet standing 180 s back 15 s before; “feel the soles”; anywhere 0 “let the shoulders hang.”
     Shake clock 60 s`,
  ],
  'with cues at times of the class': [
    `Recording

00:00 Welcome
01:30 Wave breathing (8 rounds, 4 in 6 out)
03:30 talk: why we slow down the out breath
04:15 Wave breathing again with arms, 6 rounds
09:30 Standing like a mooring post - guided
   10:00 cue: shoulders
   10:45 say: jaw and tongue
12:00 Close
12:30 end`,
    `talk Welcome 90 s
     Wave breathing x8
     talk Why we slow down the out breath 45 s
     Wave breathing again with arms x6
     Standing like a mooring post - guided clock 150 s; time 30 “shoulders”; time 75 “jaw and tongue”
     talk Close 30 s`,
  ],
  'in numbered parts with their times': [
    `QIGONG FOR BACKS (45')

1) WELCOME + CAUTIONS   3'
2) LOOSENING            5'
   b. wrists                  20 s each way
   c. waist turns             1'
3) MAIN                 25'
   a. Lifting the Bucket      x8   in4/out6
   b. Heron on the Post       x4 L, x4 R
   c. Drawing the Net         2 sets of 6, rest 30 s between
   d. Bow and Rest            x5, pause 2 s at the bottom
4) STANDING             8'
   - no talking for the first 3 min
   - then: "soften the jaw"; "weight in the heels"
5) CLOSE                4'`,
    `talk Welcome + cautions 180 s
     wrists clock 40 s both-directions
     waist turns clock 60 s
     Lifting the Bucket x8
     Heron on the Post x4 one-then-other
     Drawing the Net x6
     still Rest 30 s
     Drawing the Net x6
     Bow and Rest x5 (inhale exhale hold 2)
     still STANDING 480 s; time 180 “soften the jaw”; anywhere 0 “weight in the heels”
     talk Close 240 s`,
  ],
  'told in paragraphs': [
    `Hi Mara, here's what I did last week, feel free to use it:

We started with five minutes of gentle bouncing and swinging the arms. After that I taught Gathering the Tide: first just the arms, four times, then with the steps, another six. We did it on the left lead and then the right. Then everybody did it on their own for three minutes and I called them back with the bell.
Next was the Boatman's Stretch, eight each side.
Finished with rubbing the kidneys (36 times) and three deep breaths.`,
    `talk Talk
     Gentle bouncing and swinging the arms clock 300 s
     Gathering the Tide x10 + own 180 s one-then-other; round 1 “first just the arms”; round 5 “with the steps”
     The Boatman's Stretch x8 alternating
     Rubbing the kidneys x36
     Three deep breaths x3`,
  ],
  'with times in the class and times in a step': [
    `Morning class

00:00 Welcome, one line about the weather
01:00 Loosen knees & hips
03:00 Wave hands 8x (4 in / 6 out)
     00:00 show it from the side
     00:30 "let the elbows float"
05:30 Turn the wheel, 5 L then 5 R
08:00 Quiet standing
     00:30 feel the feet
     02:00 soften the jaw
11:00 Rub hands, cover the eyes
12:00 End`,
    `talk Welcome, one line about the weather 60 s
     Loosen knees & hips clock 120 s
     Wave hands x8; “show it from the side”; time 30 “let the elbows float”
     Turn the wheel x5 one-then-other
     still Quiet standing 180 s; time 30 “feel the feet”; time 120 “soften the jaw”
     Rub hands, cover the eyes clock 60 s`,
  ],
  'as lists with an amount for all, and the other leg': [
    `Warm up
* bounce
* twist
* swing
(all 1 min)

Form
* Crane Lifts Its Wing ×6 — R leg forward
* same, L leg forward
* Hold the Moon: hold 40 sec
* Rest: 20 sec
* whole set again but slower`,
    `bounce clock 60 s
     twist clock 60 s
     swing clock 60 s
     Crane Lifts Its Wing x6 one-then-other from the right; “{side} leg forward”
     Hold the Moon held 40 s
     still Rest 20 s
     Crane Lifts Its Wing x6 one-then-other from the right; “{side} leg forward”
     Hold the Moon held 40 s
     still Rest 20 s`,
  ],
  'with letters, talks in minutes, and a change of place before a step': [
    `Mon 10am Seniors, 40 min

Chat (5)
Sit. Turn the head x4
Stand behind the chair.
A  Opening the Shutters    8
B  Drawing the Bow         8 (4+4)
C  Backstroke              6 each arm
Repeat A-C
Breathing: 4 in, 6 out, 5 breaths
Standing for 5 (quiet!)`,
    `talk Chat 300 s
     to Sit
     Turn the head x4
     to Stand behind the chair
     Opening the Shutters x8
     Drawing the Bow x8
     Backstroke x6 alternating
     Opening the Shutters x8
     Drawing the Bow x8
     Backstroke x6 alternating
     Breathing x5
     still Standing 300 s; “quiet!”`,
  ],
  'with what is said before its rounds, behind its breath': [
    `Script for recording no. 12, calm evening

MOVEMENT: Lifting the Lantern, 6 breaths
  in: arms rise to the heart
  out: palms press down
  Say before: "No hurry tonight."
  Say on 3: "Let the shoulders be heavy."
Heaven and Earth 8x. Option: lower hand on the hip. Caution: mind the shoulder. Last two smaller.
Form so far, twice. Second time no talking
iii. Pouring Water — 8 rounds; rounds 1-3 arms, 4-6 + weight`,
    `Lifting the Lantern x6; “No hurry tonight.”; round 3 “Let the shoulders be heavy.”
     Heaven and Earth x8; last 2 “Smaller.”; level “lower hand on the hip.”; caution “mind the shoulder.”
     Form so far x2; round 2 “no talking”
     Pouring Water x8; round 1 “arms”; round 4 “+ weight”`,
  ],
};

describe('a whole class', () => {
  it.each(Object.entries(CLASSES))('%s', (_, [script, plan]) => {
    expect(plannedFrom(script)).toEqual(lines(plan));
  });

  it('has a line with what is told behind its step at the end of what is done on each side', () => {
    const script =
      'Class\n\nOn each side:\n- Rowing x8\n- Bow x6. Cue: “long neck” on round 3. Last two smaller.\n\nShake 1 min';
    expect(plannedFrom(script)).toEqual([
      'Rowing x8',
      'Bow x6; round 3 “long neck”; last 2 “Smaller.”',
      'Shake clock 60 s',
    ]);
    expect(readScript(countingIds('w'), script).lines.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7]);
  });

  it('has its title and its parts', () => {
    const { plan } = readScript(countingIds('w'), `Script for recording no. 12, calm evening\n\nMain\nRowing x6\nClosing 4 min`); // prettier-ignore
    expect(plan.title).toBe('Script for recording no. 12, calm evening');
    expect(plan.sections.map(({ role }) => role)).toEqual(['main', 'closing']);
  });
});

/** Each form below "Main", and the steps it makes. */
const FORMS: readonly (readonly [what: string, forms: string, plan: string])[] = [
  [
    'a rest in each breath',
    `Bow x5, pause 2 s at the bottom | Bow x5, hold 2 s at the bottom | Bow x5 with a 2 s pause at the bottom
     Bow x5 (pause 2 s at the bottom) | Bow x5, rest 2 s after each out-breath | Bow, 5 times, 2 sec hold when empty
     Bow x5, pause at the bottom for 2 s | Bow x5 - hold 2 seconds at the end of the out-breath`,
    'Bow x5 (inhale exhale hold 2)',
  ],
  [
    'a rest at both ends',
    `Bow x5, pause 2 s at the top and the bottom | Bow x5 with a pause of 2 seconds at the top and bottom
     Bow x5, hold 2 s at both ends`,
    'Bow x5 (inhale hold 2 exhale hold 2)',
  ],
  [
    'a hold of a breath',
    'Bow x5, hold for one breath | Bow x5, stay for a breath | Bow x5 (hold one full breath)',
    'Bow x5 (inhale hold 5 exhale)',
  ],
  [
    'layers by their rounds',
    `Rowing x8/  arms only x4, add the feet x4 | Rowing x8/  - arms only (1-4), add the feet (5-8)
     1. Rowing/  - arms only 4 times, then add the feet another four | 1. Rowing/  4x arms only, 4x add the feet
     Rowing x8: arms only 4x, add the feet 4x | Rowing x8 (arms only 4x, then add the feet 4x)
     1. Rowing/  arms only, 4 rounds/  add the feet, 4 rounds | 1. Rowing/  a) arms only x4/  b) add the feet x4
     Rowing x8/  layers: arms only 1, add the feet 5`,
    'Rowing x8; round 1 “arms only”; round 5 “add the feet”',
  ],
  [
    'rounds that are led, and then a time alone',
    `Rowing x8/Then on their own for 2 min | Rowing x8/Then everybody did it on their own for two minutes
     Rowing x8/then each at their own pace, 2 min | Rowing x8/  on their own 2 min | Rowing x8/After that, 2 min on your own
     Rowing x8/Everyone goes on alone for 2 minutes | Rowing x8/Then carry on by yourselves, 2 min, and I ring the bell`,
    'Rowing x8 + own 120 s',
  ],
  [
    'the other leg',
    `Rowing x6, right foot forward/same, left foot forward | Rowing x6, right foot forward/repeat on the left
     Rowing x6, right foot forward/- same with the left foot forward | Rowing x6, right foot forward/again left foot in front`,
    'Rowing x6 one-then-other from the right; “{side} foot forward”',
  ],
  [
    'sides in turn, told below',
    `Rowing x6/First on the right, then on the left. | Rowing x6/We did it on the right lead and then the left.
     Rowing x6/  on the right side, then on the left side`,
    'Rowing x6 one-then-other from the right',
  ],
  [
    'an amount for each of a list',
    `- wrists/- elbows/- hips/(all 1 min) | wrists/elbows/hips/each 1 min | - wrists/- elbows/- hips/- 1 min each
     - wrists/- elbows/- hips/one minute for each | wrists/elbows/hips/all of these 1 min`,
    'wrists clock 60 s; elbows clock 60 s; hips clock 60 s',
  ],
  [
    'sets with a rest between',
    `Bow, 2 sets of 6, rest 30 s between | Bow: 2 x 6 reps, 30 s rest between sets | Bow - two rounds of 6, with a rest of 30 s between
     Bow 2 × 6, pause 30 sec in between`,
    'Bow x6; still Rest 30 s; Bow x6',
  ],
  [
    'holds with a rest between',
    'Horse stance hold – 2 × 20 s, 10 s rest between | Horse stance, 2 x 20 s with 10 s rest between holds',
    'Horse stance held 20 s; still Rest 10 s; Horse stance held 20 s',
  ],
  [
    'joints in brackets',
    'Joints (neck, wrists, hips) 6x each | Joints (neck, wrists, hips), 6 times each',
    'Joints: neck x6; Joints: wrists x6; Joints: hips x6',
  ],
  [
    'a standing posture',
    'Tree standing 5 min | Standing like a pine, 5 min | Standing post 5 min | Hug the tree for 5 minutes',
    '* held 300 s',
  ],
  ['a quiet minute', 'Quiet minute with hands on belly | A minute of silence, sitting', 'still * 60 s'],
  ['rounds without words', 'Rowing x6/  no talking last 2 | Rowing x6/  silent, the last two', 'Rowing x6; last 2 “*”'],
  ['each side as ea', '6 x ea crane steps | 6x ea crane steps', 'crane steps x6 alternating'],
  ['a talk in minutes', 'Chat (5) | Notices [5]', 'talk * 300 s'],
  ['steps with ways as their names', 'open/close x 9, rise/fall x 9', 'open/close x9; rise/fall x9'],
];

describe('in other forms', () => {
  it.each(FORMS)('%s', (_, all, plan) => {
    const forms = all.trim().split(/\s*\|\s*|\n\s*/);
    const written = (form: string): string =>
      form.replaceAll('/  ', '\n  ').replace(/(?<=\d|\p{L}|\))\/(?=[-(\p{L}\d])(?!close|fall)/gu, '\n');
    expect(forms.flatMap((form) => otherThan(plan, form, `Class\n\nMain\n${written(form)}`))).toEqual([]);
  });
});
