import { describe, expect, it } from 'vitest';
import { isMovement, stepsInOrder } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';
import { plannedFrom } from '../support/told-plan';

/*
 * Whole classes word for word, as people write them to speak or as they were spoken, with the plans that are meant: names
 * by themselves or in sentences, amounts in what is said. Common practice, no published source.
 */

const SCRIPTS: Readonly<Record<string, readonly [script: string, plan: string]>> = {
  'in blocks, each under the name of its movement': [
    `Gentle Harbour Flow – spoken script

Opening
Welcome. Find a comfortable stance, feet as wide as your hips.
Let your breath come and go. Stay here for about thirty seconds.

Opening the Shutters
We start with the palms together in front of the chest.
Inhale and open the arms wide.
Exhale and bring them back.
We'll do this eight times.
On the last one, stay open and take one full breath there.

Turning the Capstan
Hands on the hips. Circle to the left, slowly, five times.
Now change direction: five circles to the right.
Don't force the range.

Closing
Bring your hands to your belly. Rest here for a minute.
Thank you for being here.`,
    `talk Talk
     still Stay here 30 s; “Let your breath come and go.”
     Opening the Shutters x8; “We start with the palms together in front of the chest.”; last 1 “Stay open and take one full breath there.”
     Turning the Capstan x5 both-directions; “Hands on the hips. Circle to the left, slowly, five times.”; anywhere 0 “Don't force the range.”
     still Rest here 60 s; “Bring your hands to your belly.”
     talk Talk`,
  ],
  'typed as it was heard, without stops': [
    `ok so hello everyone nice to see you
we are going to stand for a moment just arrive
and then lets shake the hands gently about one minute
good and now roll the shoulders back five times
and forward five times
now the first exercise is called scooping the tide
you bend the knees a little and scoop up as you breathe in
and pour it out as you breathe out
we do six of those
last one
and now the same but with a step to the left three times
and to the right three times
very good lets rest the arms and just breathe for thirty seconds
and thats it thank you see you tomorrow`,
    `talk Talk
     Shake the hands clock 60 s; “And then let's shake the hands gently about one minute.”
     Roll the shoulders back x5 both-directions; “Good and now roll the shoulders back five times.”
     Scooping the tide x6; “Now the first exercise is called scooping the tide.”
     Same but with a step x3 one-then-other; “And now the same but with a step to the left three times.”
     still rest the arms and just breathe 30 s; “Very good.”
     talk Talk`,
  ],
  'with a time before each sentence': [
    `00:00 Hello and welcome, my name is Nell.
00:15 Today is all about the hips.
00:30 Please stand with your feet parallel.
01:00 Hip circles. Let's go to the right, ten times.
01:45 And to the left, ten times.
02:30 Now we come to Sinking the Anchor.
02:40 Breathe in, arms up. Breathe out, sink.
02:50 Again. In… and out…
03:00 Keep going for one more minute.
04:00 Let it go and shake your legs.
04:30 Heron on the Rail, first the left leg.
04:40 Hold it there for twenty seconds.
05:05 And change legs.
05:10 Twenty seconds on this side.
05:40 Both feet down. Close your eyes.
06:40 Open your eyes. Thank you, bye bye.`,
    `talk Talk
     Hip circles x10 one-then-other from the right; “Hip circles. Let's go to the right, ten times.”
     Sinking the Anchor clock 60 s; “Now we come to Sinking the Anchor.”; after “Again. In… and out… Let it go and shake your legs.”
     Heron on the Rail held 40 s one-then-other; “Heron on the Rail, first the left leg.”; after “Both feet down. Close your eyes. Open your eyes. Thank you, bye bye.”`,
  ],
  'with who speaks before each line': [
    `TITLE: Calm before sleep
SPEAKER: (soft) Come to sit on the edge of your bed.
SPEAKER: Rest your hands on your thighs. [5 sec]
SPEAKER: Breathe in through the nose for four… and out for six. [repeat x5]
MOVEMENT: Rolling Pebbles
SPEAKER: Roll one shoulder, then the other. [30 sec]
MOVEMENT: Drawing in the Net
SPEAKER: Reach forward… and draw back to the ribs. [8x]
SPEAKER: Last two even slower.
SILENCE: 60 sec
SPEAKER: Good night.`,
    `talk Talk
     Breathing x5; “Breathe in through the nose for four… and out for six.”
     Rolling Pebbles clock 30 s; “Roll one shoulder, then the other.”
     Drawing in the Net x8; “Reach forward… and draw back to the ribs.”; after “Last two even slower.”
     still Silence 60 s
     talk Talk`,
  ],
  'with its exercises in capitals': [
    `[0:00] INTRO
Hi everyone, welcome back to the channel.
Today we have a ten minute practice for the shoulders.
[0:40] Find your feet. Let the arms hang.
[1:00] EXERCISE 1: SHOULDER ROLLS
Lift up, back and down. Let's do eight.
[1:50] and now forward, eight more.
[2:40] EXERCISE 2: OPEN THE FAN
Breathing in, open. Breathing out, close. Ten slow ones.
If your shoulder is sore, stay lower.
[4:30] EXERCISE 3: REEL THE LINE
Right arm first, six circles. Then the left, six circles. Then both together, six.
[6:30] Shake it out, 30 seconds.
[7:00] STANDING
Three minutes of quiet standing. I'll ring the bell at the end.
[10:00] Thank you.`,
    `talk INTRO 40 s
     SHOULDER ROLLS x8 both-directions; “Lift up, back and down.”
     OPEN THE FAN x10; anywhere 0 “If your shoulder is sore, stay lower.”
     REEL THE LINE x6 one-then-other from the right; “Right arm first, six circles.”
     Both together x6
     Shake it out clock 30 s; “Shake it out, 30 seconds.”
     still quiet standing 180 s; “I'll ring the bell at the end.”
     talk Talk`,
  ],
  'with its movements named in sentences': [
    `Script / voice-over

Hello, I'm so glad you could join me today. (pause)
Stand comfortably. Soften the knees. (pause 10 seconds)
Let's take three breaths together.
In... and out. (x3)

Movement one is called Lifting the Lantern.
As you breathe in, lift the hands to the shoulders. As you breathe out, lower them. Repeat 6 times.

Movement two: Pulling the Rope
Step the left foot forward. Reach and pull, reach and pull. 8 times, then change feet and do 8 more.

Now let everything settle. Stand in silence for one minute.

Thank you, and see you next time.`,
    `talk Talk
     Three breaths together x3
     Lifting the Lantern x6; “Movement one is called Lifting the Lantern.”
     Pulling the Rope x8 one-then-other; “Step the left foot forward. Reach and pull, reach and pull.”
     still Stand in silence 60 s; “Now let everything settle.”
     talk Talk`,
  ],
  'with a part for each movement': [
    `Balance and Breath (12 minutes)

Hi, I'm so happy to be moving with you today. Before we start, please move anything you could trip over.

Part One: Arriving
Stand with your feet hip-width apart. Let your shoulders soften. Take a moment to notice your feet. We'll take three slow breaths here.

Part Two: Swaying like Seaweed
Shift your weight to the right foot, and then to the left. Keep it small at first. Let's continue for one minute.
If you feel unsteady, hold on to a chair.

Part Three: Lifting the Moon
Breathe in as your arms float up. Breathe out as they come down. Eight times.
On the fifth one, see if you can soften your jaw.

Part Four: Standing on One Leg
Shift onto your left leg and let the right heel lift. Twenty seconds. Then change. Another twenty seconds.

Part Five: Quiet
Close your eyes if you like. Two minutes of silence.
Thank you so much.`,
    `talk Talk
     Breathing x3; “Stand with your feet hip-width apart. Let your shoulders soften. Take a moment to notice your feet.”
     Swaying like Seaweed clock 60 s; “Shift your weight to the right foot, and then to the left. Keep it small at first.”; anywhere 0 “If you feel unsteady, hold on to a chair.”
     Lifting the Moon x8; round 5 “See if you can soften your jaw.”
     Standing on One Leg clock 40 s one-then-other; “Shift onto your left leg and let the right heel lift.”
     still Silence 120 s; “Close your eyes if you like.”
     talk Talk`,
  ],
  'with its first movement, and its second': [
    `Morning practice script for my channel

[0:00] Welcome to the harbour. I'm glad you're here.
[0:20] Let's begin by standing with our feet under our hips.
[0:45] Breathe in... and out... (x3)
[1:15] FIRST MOVEMENT: Waking the Arms
Raise the arms as you breathe in, lower as you breathe out. (8 times)
[2:30] Keep the shoulders down. Last two.
[2:50] SECOND MOVEMENT: Turning to Look
Turn right, breathe out. Back to centre, breathe in. Turn left. (4 each side)
[4:20] THIRD MOVEMENT: Standing
Simply stand. (2 minutes)
[6:20] Thank you for practising with me.`,
    `talk Talk
     Breathing x3
     Waking the Arms x8; anywhere 0 “Keep the shoulders down.”; last 2 “Last two.”
     Turning to Look x4 alternating; “Turn right, breathe out. Back to centre, breathe in. Turn left.”
     Standing clock 120 s; “Simply stand.”
     talk Talk`,
  ],
  'with rounds at their own pace, and steps in all': [
    `Ten Quiet Minutes

Good morning. Take your time to arrive.
Let the feet be heavy and the head be light. We'll stand like this for a minute.

Floating the Lanterns
Let your arms rise in front of you on the in-breath.
And let them float down on the out-breath.
Six times, at your own speed.

Parting the Fog
Bring your palms together. As you inhale, draw the hands apart. As you exhale, close them.
Let's do eight of these. For the last three, close your eyes.

Walking the Pier
Take a small step with the left foot, then the right. Ten steps in all.
Turn around and walk back.

Coming Home
Rest your hands wherever they like to be. One minute.
I wish you a calm day.`,
    `talk Talk
     still stand like this 60 s; “Let the feet be heavy and the head be light.”
     Floating the Lanterns own-pace 55 s; “6 times, at your own pace.”
     Parting the Fog x8; “Bring your palms together.”; last 3 “Close your eyes.”
     Walking the Pier x10; “Take a small step with the left foot, then the right.”; after “Turn around and walk back.”
     Coming Home clock 60 s; “Rest your hands wherever they like to be.”; after “I wish you a calm day.”`,
  ],
  'with numbers before its movements': [
    `Harbour Morning, episode 14

Hi and welcome. I'm standing by the water today, so you may hear some gulls.

1. Arriving
Stand easy. Feel both feet. I'll be quiet for thirty seconds.

2. Shaking like a wet dog
Start with the hands. Then the arms. Then everything! One minute.

3. Scooping the Tide
On the in-breath, scoop up. On the out-breath, let it pour away. We'll do ten.
You can sit for this one.

4. Gate of the Harbour
Step your left foot to the side. Open the arms, close the arms. Four times.
Step back in. Now the right foot, four times.

5. Folding the Sails
Hands come to rest on the belly. Stay with your breath for two minutes.

Thanks for watching!`,
    `talk Talk
     still Silence 30 s; “Stand easy. Feel both feet.”
     Shaking like a wet dog clock 60 s; “Start with the hands. Then the arms. Then everything!”
     Scooping the Tide x10; anywhere 0 “You can sit for this one.”
     Gate of the Harbour x4 one-then-other; “Step your left foot to the side. Open the arms, close the arms.”
     Folding the Sails clock 120 s; “Hands come to rest on the belly. Stay with your breath for two minutes.”
     talk Talk`,
  ],
  'in a letter': [
    `Dear Pat, thanks for taking my Monday lot. They know the routine so don't worry. Usually I start with shoulder circles, about ten, then hips the same. Next is the tree, two minutes, they like a bit of chat here. Then we do the three lifting ones: Lifting the Sail, Lifting the Net and Lifting the Anchor, six each. If Joan is there skip the twisting. Otherwise twisting ten times. Then the slow walk round the hall for three or four minutes. We always end with everybody holding hands and three big sighs. Keys are with Tom. Love, R`,
    `talk Talk
     Shoulder circles x10
     Hips x10
     The tree clock 120 s; “they like a bit of chat here.”
     Lifting the Sail x6
     Lifting the Net x6
     Lifting the Anchor x6; “If Joan is there skip the twisting.”
     Twisting x10
     The slow walk round the hall clock 210 s; “We always end with everybody holding hands and three big sighs.”; “Keys are with Tom.”; “Love, R”`,
  ],
};

describe('a spoken script', () => {
  it.each(Object.entries(SCRIPTS))('%s', (_, [script, plan]) => {
    expect(plannedFrom(script)).toEqual(plan.trim().split(/\n\s*/));
  });

  it('has its breaths as they are spoken, and the words between two ways', () => {
    const script = `Class\n\nOpening the Fan\nAs you breathe in, open. As you breathe out, close. Eight times.\nNow change direction: eight circles to the right.`;
    const [first] = stepsInOrder(readScript(countingIds('w'), script).plan).map(({ step }) => step);
    if (!isMovement(first)) throw new Error('no movement');
    expect(first.pattern.map(({ full }) => full)).toEqual(['Breathe in, open.', 'Breathe out, close.']);
    expect(first.sideChangeLine).toBe('Now change direction: eight circles to the right.');
  });

  it('takes leave in no movement', () => {
    expect(plannedFrom('Class\n\nRowing x8\nThank you for being here.')).toEqual(['Rowing x8', 'talk Talk']);
    expect(plannedFrom('Class\n\nRowing x8\nThank the hands.')).toEqual(['Rowing x8; “Thank the hands.”']);
  });

  it('keeps a name by itself over no sentences as it was', () => {
    expect(plannedFrom('Class\n\nOpening the Fan\nRowing the Boat x8')).not.toContain('Opening the Fan x3');
  });
});
