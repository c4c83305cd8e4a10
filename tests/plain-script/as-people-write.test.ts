import { describe, expect, it } from 'vitest';
import { stepsInOrder } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';
import { otherThan, plannedFrom } from '../support/told-plan';

/*
 * Lines as people write them, several ways for each, behind a step of their class; `\n` is a new line. Common practice,
 * no published source.
 */

const FORMS: readonly (readonly [what: string, plan: string, ...forms: string[]])[] = [
  [
    'what is told behind a step and its amount, in sentences',
    'Heron clock 40 s one-then-other; “*”',
    'Heron. 20 seconds each leg. Touch the wall if needed.',
    'Heron. 20 seconds on each leg. Your fingertips may touch the wall.',
    '1) Heron. 20 seconds each leg. Look at one spot ahead.',
  ],
  [
    'a talk by what is talked through, behind a name',
    'Rowing x8; talk * 120 s',
    'Rowing x8\nStanding posture - talk through from feet to crown (2 min)',
    'Rowing x8\nStanding posture (talk through) 2 min',
    'Rowing x8\nThe stance – explain it briefly, 2 mins',
    'Rowing x8\nClose + thanks 2 min',
  ],
  [
    'the last one, which is held',
    'Rowing x6; last 1 “Hold the last one for 3 breaths.”',
    'Rowing - 6, hold the last one for 3 breaths',
    'Rowing x6\nHold the last one for 3 breaths.',
    'Rowing, six times; then hold the last one for 3 breaths',
  ],
  [
    'an amount by itself is of the name before it, and no second time of the first step',
    'Post clock 300 s; Shake out clock 30 s',
    'Post 5 min, shake out, 30s',
    '* Post 5 min, shake out, 30 s',
  ],
  [
    'an amount in two pieces, with what is told behind it',
    'Crane balance clock 60 s one-then-other; “Maria uses the chair”',
    'Crane balance, 15 seconds per leg, x2 - Maria uses the chair',
  ],
  [
    'minutes, what they are for, and its steps',
    'rises x10; rocks x10',
    "3' ankles + calves: rises x10, rocks x10",
    '3 min ankles + calves: rises x10, rocks x10',
  ],
  [
    'a part in one line, of names with and without amounts',
    'walking on the spot clock * s; head turns x2 alternating; shoulder lifts x3; elbow bends x4',
    'Warm up, 8 min: walking on the spot, head turns x2 each side, shoulder lifts x3, elbow bends x4',
    'Warm up (8 min): walking on the spot; head turns x2 each side; shoulder lifts x3; elbow bends x4',
  ],
  [
    'a rest to drink in, without its time',
    'Rowing x8; still * 60 s; Bow x3',
    'Rowing x8\ndrink\nBow x3',
    'Rowing x8\nwater\nBow x3',
    'Rowing x8\n(water break)\nBow x3',
    '- Rowing x8\n- sip of water\n- Bow x3',
    'Rowing x8\na pause where they can drink,\nBow x3',
    'Rowing x8\nHave a drink\nBow x3',
  ],
  [
    'a pause for something',
    'Rowing x8; still * 60 s; Bow x3',
    'Rowing x8\n1 min pause for photos\nBow x3',
    'Rowing x8\npause for photos 1 min\nBow x3',
    'Rowing x8\nBreak for questions, 1 minute\nBow x3',
  ],
  [
    'closed eyes',
    'Rowing x8; still * 120 s eyes closed',
    'Rowing x8\nshut eyes 2 min',
    'Rowing x8\nshut your eyes for two minutes',
    'Rowing x8\nclosing the eyes, 2 min',
  ],
  [
    'the last clause of a sentence, where nobody moves',
    'Rowing x8; still Stand 120 s; “*”',
    'Rowing x8\nThen everybody finds a place and we stand for two minutes.',
    'Rowing x8\nEverybody comes back to the middle, and then we all stand for 2 minutes.',
  ],
  [
    'a talk, a little of it',
    'Rowing x8; talk * 60 s',
    'Rowing x8\nI talk a little about the knees here, maybe one minute.',
    'Rowing x8\nHere I briefly talk about the knees, 1 min',
    'Rowing x8\n1 min: Ingrid says hello',
    'Rowing x8\nMarit explains the next form - 1 min',
  ],
  [
    'the side it begins with, always',
    'Opening the Gate x5 alternating',
    'Opening the Gate, five times to each side, always starting on the left.',
    'Opening the Gate 5 each side, always start with the left',
    'Opening the Gate, 5 per side (always beginning on the left)',
  ],
  [
    'how it feels, and no name',
    'Shaking everything out clock 30 s',
    'Shaking everything out for half a minute feels good after that.',
    'Shaking everything out for 30 seconds feels nice here.',
    'Shaking everything out, half a minute works well for everyone',
  ],
  [
    'breaths and a bow',
    '* breaths x3; * x1',
    'three big breaths and a bow',
    'We close with three big breaths and a bow.',
    'Finish with 3 deep breaths and a bow',
    '3 slow breaths and one last stretch',
  ],
  [
    'a number that is of the name',
    'Five Tides clock 240 s',
    'Five Tides form, 4 min',
    'Five Tides, four minutes',
    'Five Tides for 4 min',
  ],
  [
    'what the teacher does meanwhile',
    'Lifting the Sail x6; “*”',
    'Lifting the Sail (6 times), I explain while we do it',
    'Lifting the Sail x6, I watch the knees',
  ],
  [
    'what the teacher counts',
    'Drawing the Bow x4 alternating',
    'The next one is Drawing the Bow, and I count four on each side.',
    'Then comes Drawing the Bow and I count 4 each side',
  ],
  [
    'each leg, forward',
    'Pushing the wave x6 alternating',
    'Pushing the wave 6 each leg forward',
    'Pushing the wave x6, each foot forward',
    'Pushing the wave 6 times each leg leading',
  ],
  [
    'back and forward, a letter each',
    'shoulder rolls x8 both-directions',
    'shoulder rolls 8 b/8 f',
    'shoulder rolls 8f + 8b',
    'shoulder rolls, 8 b, 8 f',
  ],
  [
    'the last minutes',
    'Rowing x8; still * 180 s',
    'Rowing x8\nsit down for the last 3 minutes and just listen',
    'Rowing x8\nsit quietly for the last three minutes',
    'Rowing x8\nin the last 3 minutes lie down',
  ],
  [
    'a last minute of silence',
    'Rowing x8; still * 60 s',
    'Rowing x8\nA last minute of silence and then I thank everyone.',
    'Rowing x8\nOne final minute of stillness.',
    'Rowing x8\na full minute of quiet',
  ],
  [
    'what is held, by its name',
    'Embracing the Tree held 90 s',
    'We then hold Embracing the Tree for one to two minutes.',
    'Then hold Embracing the Tree for a minute and a half.',
    'Finally we hold Embracing the Tree for 90 seconds',
  ],
  [
    'how a practice is done',
    'Walking practice own-pace 480 s',
    'Walking practice - free, about 8 min',
    'Walking practice, free, 8 min',
    'Walking practice: free, 8 minutes',
  ],
  [
    'arms and legs',
    'Shake arms and legs clock 20 s',
    'Shake arms and legs, 20 s',
    'Shake arms and legs for 20 seconds',
  ],
  [
    'a cue behind the amount, without a mark',
    'toe stands x8; “hold the wall”',
    'toe stands x8 hold the wall',
    'toe stands 8x hold the wall',
    'toe stands 8 times hold the wall',
  ],
  [
    'alternating, in short',
    'repulse monkey x4 alternating',
    'repulse monkey 4 ea (alt)',
    'repulse monkey 4 times alt.',
    'repulse monkey 4x alt',
  ],
  [
    'a sentence, and its time in brackets',
    'Rowing x8; Trees sway in the wind clock 60 s',
    'Rowing x8\nTrees sway in the wind. (1 minute)',
    'Rowing x8\nTrees sway in the wind. (60 s)',
  ],
  [
    'a step of several sentences, the amount in the second',
    'The Crane Dries Her Wings x6; “*”',
    'After that The Crane Dries Her Wings. Six times, slowly. Let them watch me once first.',
    'The Crane Dries Her Wings. Six times, softly. Let them watch me once first.',
  ],
  [
    'sitting at the end',
    'Rowing x8; still * 120 s',
    'Rowing x8\nFinish sitting down, hands on the belly, two minutes of quiet breathing.',
    'Rowing x8\nsit down, palms on the knees, 2 minutes of natural breathing',
  ],
  [
    'a name again, in another way',
    'Swimming Carp x4; “Now *.”',
    'Swimming Carp again 4x but w/ eyes closed',
    'Swimming Carp again but lower, x4',
    'Swimming Carp again, 4 times, only smaller',
  ],
  [
    'how, behind a name in small letters',
    'ankle circles x15; “open and close the toes”',
    'ankle circles: open and close the toes, 15 times',
    'ankle circles: open and close the toes x15',
  ],
  [
    'so many rounds, and how long they take in all',
    'Commencing x6',
    "Commencing 6x 1'",
    'Commencing 6 x 1 min',
    "Commencing 6x 1'30",
  ],
  ['a number before a name', 'Rowing x8; Cloud Hands x8', 'Rowing x8\nThen 8 Cloud Hands', 'Rowing x8\n8 Cloud Hands'],
  [
    'standing, and what is moved then',
    'Rowing x8; to Stand; Shake clock 40 s one-then-other',
    'Rowing x8\nStand. Shake one leg, then the other, 20 seconds each.',
  ],
  [
    'what is done sitting, in one line',
    'Rowing x8; to Seated; ankle pumps x20; knee lifts x10 alternating',
    'Rowing x8\nSeated: ankle pumps x20, knee lifts x10 each',
  ],
  [
    'what comes behind a list that is done again',
    'Gathering x4; Parting x4; Gathering x4; Parting x4; still * 120 s',
    '2 x through:\nGathering 4\nParting 4\nthen stand 2 min',
    'Twice through:\nGathering x4\nParting x4\nThen stand 2 min',
  ],
  [
    'out, with slips of the fingers',
    'Rowing x8',
    'Rowing x8\nbreathe ot as they sink',
    'Rowing x8\nbreathe uot as they sink',
  ],
];

describe('as people write', () => {
  it.each(FORMS)('%s', (_, plan, ...forms) => {
    expect(forms.flatMap((form) => otherThan(plan, form, `Class\n\nMain\n${form}`))).toEqual([]);
  });

  it('a breath in the belly is no breath in', () => {
    expect(plannedFrom('Class\n\nMain\nBreath in the belly - 10 breaths')).toEqual(['Breath in the belly x10']);
  });

  it.each([
    ['Plan\nPlease start on time. 30 mins.\nRowing x8', 1_800],
    ['Plan\nHere is what we do on the stage, it has to fit in 15 minutes.\nRowing x8', 900],
    ['Plan\nRowing x8\nThat makes about 35 minutes with the talking.', 2_100],
    ['Plan\nIt should not be longer than twenty minutes because the choir comes at three.\nRowing x8', 1_200],
    ['Library\nTuesday 10:30, 45 min, about 12 people\nRowing x8', 2_700],
    ['Plan\nRowing x8\nWhich comes to 35 min.', 2_100],
  ])('the length of the class: %j', (script, seconds) => {
    expect(readScript(countingIds('l'), script).plan.targetSeconds).toBe(seconds);
  });

  it('a label names the class', () => {
    expect(readScript(countingIds('l'), 'Name: Evening unwind\nTotal: 18 minutes\nRowing x8').plan.title).toBe('Evening unwind'); // prettier-ignore
  });

  it('a letter whose lines end with commas has no title of them', () => {
    const { plan } = readScript(countingIds('l'), 'Dear Klaas, this is what I would do:\nfive minutes of joint circles,\nthen rowing six times'); // prettier-ignore
    expect(plan.title).toBe('New class');
  });

  it('minutes by a number alone, where what is counted has an x', () => {
    const lines = ['loosen 10 - shoulders hips spine', 'shaking 3', 'falling leaf x9', 'rolling hill x6 per side', 'bench rest 2', 'standing 6', 'sit 5']; // prettier-ignore
    expect(plannedFrom(`Garden class\n\n${lines.join('\n')}`)).toEqual([
      'loosen clock 600 s; “shoulders hips spine”',
      'shaking clock 180 s',
      'falling leaf x9',
      'rolling hill x6 alternating',
      'still bench rest 120 s',
      'still standing 360 s',
      'still sit 300 s',
    ]);
    // Counts alone stay counts.
    expect(plannedFrom('Garden class\n\nshaking 3\nfalling leaf 9\nrolling hill 6')).toEqual(['shaking x3', 'falling leaf x9', 'rolling hill x6']); // prettier-ignore
  });

  it('a stop behind every line makes no sentences of names', () => {
    const lines = ['Flow.', 'Rowing a boat.', 'Parting the clouds, 8 times.', 'Turning, 4 each side.', 'Land.', 'Sit, 2 minutes.', 'Bow x3.']; // prettier-ignore
    const without = lines.map((line) => line.slice(0, -1));
    expect(plannedFrom(`Class\n\n${lines.join('\n')}`)).toEqual(plannedFrom(`Class\n\n${without.join('\n')}`));
  });

  it('what is told in brackets of an order is a talk', () => {
    expect(plannedFrom('Class\n\nStart standing behind a chair. Say a few words about falling. (2 minutes)\nRowing x8')[0]).toBe('talk Talk 120 s'); // prettier-ignore
  });

  it('where the class is names no class', () => {
    expect(readScript(countingIds('l'), 'Theme: letting go\nPlace: garden, if dry\nRowing x8').plan.title).toBe('New class'); // prettier-ignore
  });

  it.each([
    ['Stretch & sway for gardeners. 15 minutes. Outdoors.\nRowing x8', 'Stretch & sway for gardeners'],
    ['Qigong 18 (first half), music track 3\nRowing x8', 'Qigong 18 (first half), music track 3'],
    ['- speaker on\n- 2 min arrive\n- Rowing x8', 'New class'],
    ['Hej Tove,\nthis is it:\nRowing x8', 'New class'],
    ['Good evening. This is for tired legs.\n\nLegs against the wall, 3 minutes.\nRowing x8', 'New class'],
  ])('the title of %j', (script, title) => {
    expect(readScript(countingIds('l'), script).plan.title).toBe(title);
  });

  it('ordinals number a list', () => {
    expect(plannedFrom('1st: standing, 2 min\n2nd: Old Tree, 5 each arm\n3rd: break, 1 min\n4th: River, 9 times')).toEqual([
      'still standing 120 s',
      'Old Tree x5 alternating',
      'still Break 60 s',
      'River x9',
    ]); // prettier-ignore
  });

  it.each([
    ['a name of words before the amount and behind it', 'Class\n\nMain\nwaist turns x12 arms loose'],
    ['an amount in another way to do a step', 'Class\n\nMain\nRowing x8\nSeated: arms only x6'],
    ['a title as long as a step', 'Legs up the wall, 3 min\n\nRowing x8\nBow x3'],
  ])('marks %s', (_, script) => {
    expect(readScript(countingIds('l'), script).lines.filter(({ unsure }) => unsure)).toHaveLength(1);
  });

  it.each([
    'Water - own pace, 2 minutes, call back 15 sec before the end',
    'Water, own pace for 2 min. Bell 15 s before the end.',
    'Water own pace 2 min, call them back with 15 s to go',
    'Water, 2 minutes in your own time, then call everyone back 15 seconds before the end',
  ])('knows when people are called back in “%s”', (line) => {
    const [first] = stepsInOrder(readScript(countingIds('c'), `Class\n\nMain\n${line}\nBow x3`).plan);
    expect(first?.step).toMatchObject({ name: 'Water', pacedBy: 'own-pace', seconds: 120, callBackLeadSeconds: 15 });
  });

  it('a name over lines that stand further in, without a mark, is a part', () => {
    const script = 'Chair class\n\nSettle in (1 min)\nArms\n  Open the curtains 6x\n  Pull the rope 6x\nLegs\n  Marching 1 min\n  Ankle pumps 20'; // prettier-ignore
    const { plan } = readScript(countingIds('p'), script);
    expect(plan.sections.map(({ title, steps }) => [title, steps.length]).slice(-2)).toEqual([
      ['Arms', 2],
      ['Legs', 2],
    ]);
    // What only says how a step is done names no part.
    expect(plannedFrom('Class\n\nRowing\n  slowly x4\n  each side x2')).not.toContain('slowly x4');
  });

  it('an intro with its time is told, and what is moved below it is in another part', () => {
    const { plan } = readScript(countingIds('i'), '5 Animals flow\n\nIntro 0:30\nTiger - 3 each side\nBear x6');
    expect(plan.sections.map(({ role, steps }) => [role, steps.map(({ kind }) => kind)])).toEqual([
      ['welcome', ['talk']],
      ['main', ['movement', 'movement']],
    ]);
  });

  it('nothing is said of what is left of an amount', () => {
    expect(plannedFrom('Class\n\nMain\nBreathe: 5 rounds of in 4 / out 6')).toEqual(['Breathe x5']);
  });

  it('columns may be set apart by blanks', () => {
    const table = [
      'Time    What                Notes',
      '0-3     Arrive, stand       eyes soft',
      '3-6     Shake, bounce       music on',
      '6-10    Lifting the Lamp    6-8x',
      '10-11   rest',
    ];
    expect(plannedFrom(table.join('\n'))).toEqual([
      'still Arrive, stand 180 s; “eyes soft”',
      'Shake, bounce clock 180 s; “music on”',
      'Lifting the Lamp x7',
      'still Rest 60 s',
    ]);
  });

  it('names in a column of times may have how they are done in brackets', () => {
    expect(plannedFrom('0:00 intro\n1:00 Bamboo in the Wind (free flow)\n4:00 Parting the Bamboo x4\n6:00 outro, see you next week')).toEqual([
      'talk intro 60 s',
      'Bamboo in the Wind clock 180 s; “free flow”',
      'Parting the Bamboo x4; “outro, see you next week”',
    ]); // prettier-ignore
  });
});
