import { describe, expect, it } from 'vitest';
import { otherThan } from '../support/told-plan';

/*
 * One thing in the forms that people have for it, each in a class of its own; `\n` is a new line. Common practice, no
 * published source.
 */

const FORMS: readonly (readonly [what: string, plan: string, ...forms: string[]])[] = [
  [
    'a breath told with how it goes',
    'Rowing x8; “*”',
    'Rowing x8\nvery slowly, inhale 5 seconds exhale 5 seconds',
    'Rowing x8\ngently, in for 4 out for 6',
    'Rowing: 8 times\nslower now, breathing in 5 out 5',
    'Rowing 8x\n  softly: in 4, out 6',
    'Rowing, eight rounds\n  slow and easy - in 4 s, out 6 s',
    'Rowing x8\n(nice and calm, in 5 out 7)',
  ],
  [
    'so long each time',
    'Rowing clock 180 s',
    'Rowing 3 times, 1 min each',
    'Rowing x3, one minute each time',
    'Rowing x 3 (1 min each)',
    'Rowing, three times for a minute each',
    'Rowing 3x, 60 s per go',
    'Rowing, 3 rounds of 1 minute',
  ],
  [
    'a rest where a movement has come to',
    'Bow x4 (inhale hold 2 exhale)',
    'Bow x4, stop 2 seconds in the end position',
    'Bow x4, stay 2 seconds at the end',
    'Bow x4, pausing 2 s in the stretch',
    'Bow 4 times, holding two seconds in the final position',
    'Bow x4 (stay 2 s at the furthest point)',
  ],
  [
    'a list of ways',
    '* x4; “*”',
    'Neck: left, right, forward, back, x4',
    'Neck tilts (left/right/front/back) x 4',
    'Steps: front, back, left, right – 4 times',
  ],
  [
    'a list done again',
    'Lifting x3; Parting x3; Lifting x3; Parting x3',
    'Lifting x3, Parting x3, then round again',
    'Lifting x3, Parting x3 – and all again',
    'Lifting x3, Parting x3, then the whole lot again',
    'Lifting x3, Parting x3, once more through',
  ],
  [
    'one side, the other, then both',
    'Brush Knee x4 one-then-other; Brush Knee x8 alternating',
    'Brush Knee: L x4, R x4, alternate x8',
    'Brush Knee – left 4, right 4, then alternating 8',
    'Brush Knee, left 4 times, right 4 times, finally alternating 8 times',
  ],
  [
    'as often as above',
    'Tide In x6; Tide Out x6',
    'Tide In x6\nTide Out, mirror of above',
    'Tide In x6\nTide Out – same as above',
    'Tide In 6 times\nTide Out (mirror image of the one above)',
    '- Tide In x6\n- Tide Out: as many as the last one',
  ],
  [
    'a class by its stretches',
    'neck x4; Rowing x8; still stand 300 s',
    'First 5 mins: warm up\nneck x4\nNext 10 mins: form\nRowing x8\nLast 5 mins: stand',
    'First 5 min - warm up\nneck x4\nNext 10 - form\nRowing x8\nFinal 5 - stand',
  ],
  [
    'from one length to another',
    'Hold the ball held 120 s',
    'Hold the ball 1 min, 3 if time',
    'Hold the ball, start with 1 min, if they look ok 3',
    'Hold the ball 1 min (up to 3 if they like)',
  ],
  [
    'layers by their numbers',
    'Rowing x9; round 1 “*”; round 4 “*”; round 7 “*”',
    'Rowing x9 (3 arms only, 3 with knees, 3 full)',
    'Rowing: 3 arms, 3 arms+knees, 3 full',
    'Rowing x9 – 3 just arms, 3 arms + steps, 3 everything',
  ],
  [
    'the last one held',
    'Rowing x4 (inhale hold 5 exhale)',
    'Rowing x4, last one hold 5',
    'Rowing x4, hold the last one for five seconds',
    'Rowing x4, last round held 5 s',
    'Rowing x4\n  last one: hold 5 s',
    'Rowing x4\n  hold the last one 5 seconds',
  ],
  [
    'what one part of the body does',
    'Ankles: pumps x8; Ankles: circles x6 both-directions',
    'Ankles: 8 pumps, 6 circles each way',
    'Ankles: pumps x8, circles x6 each way',
    'Ankles: 8 pumps; 6 circles each direction',
  ],
  ['what one part of the body counts', 'Knees: extensions x6 alternating', 'Knees: 6 extensions per leg'],
  [
    'names and amounts run on',
    'lifting water x8; pushing mountain x8; parting clouds x6 alternating',
    'lifting water 8x pushing mountain 8x parting clouds 6x each side',
    'lifting water x8 pushing mountain x8 parting clouds x6 each side',
  ],
  [
    'both sides as one',
    'Drawing the Bow x6 alternating',
    'Drawing the Bow x6 (L then R = 1)',
    'Drawing the Bow x6, both sides count as one',
    'Drawing the Bow x6 (left and right is one)',
    'Drawing the Bow x6, L+R = 1',
  ],
  [
    'a name behind its number',
    'Rowing the Boat x8',
    'FIRST MOVEMENT: Rowing the Boat\n(8 times)',
    'Movement 1: Rowing the Boat\nx8',
    'The first exercise: Rowing the Boat, 8 times',
    'Exercise two - Rowing the Boat\n8 times',
    '2nd movement: Rowing the Boat x8',
  ],
  [
    'an amount behind what is told',
    'Rowing the Boat x8; “*”',
    'Movement 1: Rowing the Boat\nReach and draw back to the ribs. (8 times)',
    'Movement 1: Rowing the Boat\nReach and draw back to the ribs. [8x]',
    'Movement 1: Rowing the Boat\nReach forward. Draw back to the ribs. Repeat 8 times.',
    'Movement 1: Rowing the Boat\nReach forward and draw back. Let’s do eight.',
  ],
  [
    'rounds at one’s own pace',
    'Rowing own-pace 40 s; “4 times, at your own pace.”',
    'Rowing x4, own pace',
    'Rowing 4 times at your own pace',
  ],
  [
    'the ways of one movement in a list',
    'Rowing x4; Together x4; Left only x3; Right only x3',
    '- Rowing x4\n- together x4\n- left only x3\n- right only x3',
    '* Rowing x4\n* Together 4 times\n* Left only, 3 times\n* Right only, 3 times',
  ],
  [
    'what the teacher tells, told of',
    'Rowing x8; talk * 60 s; Hips x4',
    'Rowing eight times. I want to talk about the knees for a minute. Then hips four times.',
    'Rowing eight times. Here I stop and explain the knees for a minute. Then hips four times.',
    'Rowing eight times. We pause so I can talk about the knees for a minute. Then hips four times.',
  ],
  [
    'the first words and the last',
    'talk Opening; Rowing x8; talk Closing',
    'Opening line: “Good evening.”\nRowing x8\nClosing line: “Rest well.”',
    'First words: Good evening to you all.\nRowing x8\nLast words: "Rest well."',
  ],
  [
    'a place, and silence there',
    'still * 180 s',
    'Seated or lying. 3 mins silence.',
    'Sit or lie. Silence 3 min.',
    'Lying down, 3 min of silence',
  ],
  [
    'a sentence before a silence',
    'still * 180 s; “*”',
    'Let everything settle. Stand in silence for three minutes.',
    'Bring the hands to the belly. Rest here for three minutes.',
  ],
  [
    'which of a set, and how often',
    'whole set 1-7 x2',
    'whole set 1-7 x 2',
    'whole set 1-7 x2',
    'whole set 1-7, twice',
  ],
  [
    'a breath behind its name',
    'Pushing Waves x8',
    'Pushing Waves: breathe in as you draw back, breathe out as you push, 8 times',
    'Pushing Waves: inhale as you draw back, exhale as you push, 8 times',
  ],
  [
    'a list with its name before it',
    'deer x6; crane x6; bear x8',
    '5 animals - deer 6x, crane 6x, bear 8x',
    '5 animals: deer 6x, crane 6x, bear 8x',
  ],
  [
    'another as the one before it',
    'shoulders x10; hips x10',
    'shoulders x10, hips the same',
    'shoulders, about ten, then hips the same',
    'shoulders x10, then hips likewise',
  ],
  [
    'work, a rest, and the work again',
    'Marching feet clock 60 s; still Rest 30 s; Marching feet clock 60 s',
    'Marching feet 1 min, rest 30s, again',
    'Marching feet 1:00 / rest :30 / 1:00',
    'Marching feet 1 min, 30 s rest, 1 min',
  ],
  [
    'work and a pause without its time',
    'Row the boat x8; still Rest 15 s; Row the boat x8',
    'Row the boat: 8 strokes, pause, 8 strokes',
    'Row the boat x8, rest, x8',
  ],
  [
    'each side by its name',
    'Lantern x4 one-then-other',
    'Lantern left – 4, lantern right – 4',
    'Lantern left 4, lantern right 4',
    'Lantern on the left x4, lantern on the right x4',
  ],
  ['a time for each side', 'Gull clock 60 s one-then-other', 'Gull 30s / 30s', 'Gull 30 sec/30 sec'],
  [
    'what is gone over again',
    'Push the boat x2',
    'review: Push the boat x2',
    'Recap last week: Push the boat x2',
    'revision: Push the boat 2x',
  ],
  [
    'the step above in another way',
    'Casting the Net x12; Casting the Net x6; “*”',
    'Casting the Net x12\nas above but eyes closed, 6',
    'Casting the Net x12\nsame, smaller x6',
    'Casting the Net x12\nSame again but slower, x6',
  ],
  [
    'an amount under a condition',
    'Swimming frog x8; “*”',
    'Swimming frog x8 (x10 if lively)',
    'Swimming frog 8 times (10 times if it is quiet)',
  ],
  [
    'two names and an amount for each',
    'wrists clock 60 s; ankles clock 60 s',
    'wrists + ankles 1 min each',
    'wrists & ankles, 1 min each',
  ],
  [
    'manner behind an amount for each side',
    'Turn the head x5 alternating',
    'Turn the head left and right 5 each slowly',
    'Turn the head, left and right, 5 each side, gently',
  ],
  [
    'what comes after another',
    'The Anchor x8',
    'After the Wave comes the Anchor, 8 times',
    'After that we do the Anchor x8',
  ],
  ['laps', 'Lantern walk x2 both-directions', 'Lantern walk, 2 laps each direction', 'Lantern walk 2 laps each way'],
  [
    'a list, and below it an amount for each',
    'neck x10; shoulders x10; hips x10',
    'neck, shoulders, hips\n10 each',
    '- neck, shoulders and hips\n(x10 each)',
    'neck, shoulders, hips:\n10 times each',
  ],
  [
    'steps between semicolons',
    'arm circles x5 both-directions; waist turns x10; knee bends x10',
    '5 arm circles fwd, 5 back; 10 waist turns; 10 knee bends',
    '5 arm circles forward, 5 back; then 10 waist turns; then 10 knee bends.',
  ],
  [
    'a number for each side, then in turn',
    'Skiff x4 one-then-other; Skiff x4 alternating',
    'Skiff - 4L 4R then 4 alternating',
    'Skiff 4 left, 4 right, then 4 alternating',
  ],
  ['in turn, cut short', 'Twist x10 alternating', 'Twist: 10 alternating', 'Twist x10 alt.'],
  [
    'a breath that goes up and down',
    'Harbour Breath x12',
    'Harbour Breath x12\n  up 4 / down 6',
    'Harbour Breath x12\n  breathe: up 4, down 6',
  ],
  [
    'words at their times in a line',
    'still Standing 180 s; time 60 “soft eyes”; time 120 “weight down”',
    'Standing: 3 mins; cue at 1 min "soft eyes", at 2 min "weight down".',
    'Standing 3 min, at 1:00 “soft eyes”, at 2:00 “weight down”',
  ],
  [
    'all that stands above, so often',
    'Reach x8; Twist x10; Shake clock 60 s; Reach x8; Twist x10; Shake clock 60 s',
    'Reach x8\nTwist x10\nShake 1 min\nx2',
    "Reach: 8\nTwist: 10\nShake: 1'\n2 times",
  ],
  [
    'sets with a rest',
    'Nets x6; still Rest 20 s; Nets x6; still Rest 20 s; Nets x6',
    'Nets: 3 sets of 6, 20 sec rest',
    'Nets, 3 sets of 6, rest 20 s',
    'Nets 3 x 6 reps, 20 s rest between',
  ],
  [
    'the other side, by its name again',
    'Ropes x6 one-then-other',
    'Ropes x6\nRopes, other side',
    'Ropes x6\nRopes on the other side',
  ],
  [
    'how the last ones are done',
    'Gulls x10; last 3 “eyes closed”',
    'Gulls: x10, last 3 eyes closed',
    'Gulls x10, the last three eyes closed',
  ],
  [
    'two steps, twice',
    'Low stance held 45 s; Shake clock 15 s; Low stance held 45 s; Shake clock 15 s',
    'Low stance 45s, shake 15s. Twice.',
    'Low stance 45s, shake 15s. 2 times',
  ],
  [
    'breathing by itself, for a time',
    'Breathing clock 120 s',
    'Breathing: in 4, out 6 for 2 mins',
    'Breathing - in 4 out 6, 2 min',
  ],
  [
    'joints with blanks between',
    'joint circles: neck x6; joint circles: hips x6; joint circles: knees x6',
    'joint circles x6 each: neck hips knees',
    'joint circles, 6 each: neck, hips and knees',
    'joint circles 6 times each - neck hips knees.',
  ],
  [
    'the same again, faster',
    'Rowing x8; Rowing x8; “Faster”',
    'Rowing x8 then x8 faster',
    'Rowing x8, then 8 times faster',
  ],
];

/** Lists whose numbers stand without a mark, and parts with their steps in one line. */
const LISTS: readonly (readonly [string, ...(readonly string[])])[] = [
  [
    'shoulders x10; neck x5 alternating; Rowing Home x12',
    '1 shoulders x10\n2 neck left and right, 5 each\n3 Rowing Home x12',
    '1   shoulders x10\n2   neck left and right, 5 each\n3   Rowing Home x12',
  ],
  [
    'swings clock 100 s; twists clock 100 s; knee circles clock 100 s',
    "WU 5': swings, twists, knee circles",
    'Warm-up (5 min): swings, twists and knee circles',
  ],
];

describe('lists without marks', () => {
  it.each(LISTS)('%s', (plan, ...forms) => {
    expect(forms.flatMap((form) => otherThan(plan, form, `Class\n\n${form}`))).toEqual([]);
  });
});

describe('in more forms', () => {
  it.each(FORMS)('%s', (_, plan, ...forms) => {
    expect(forms.flatMap((form) => otherThan(plan, form, `Class\n\nMain\n${form}`))).toEqual([]);
  });
});
