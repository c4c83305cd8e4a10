/** Invented lines of a harbour class, from two words to two sentences: what speaking times are measured on. */
export const CLASS_LINES: readonly string[] = `
Welcome to the hall above the ferry landing. We have ten minutes before the first boat.
Feet a hand's width apart. Knees easy, as if the floor might tilt.
Let the shoulders hang from the neck like wet rope.
Stay within about 70% of what you could do.
Nothing should hurt. Rest when you like, and sit if you like.
Breathe in, and the wrists carry the lamp up.
Breathe out, set it down on dark water.
In, lamp up.
Out, set it down.
Last one.
Two more, and then we rest.
Now the other side, at the same slow pace.
Turn from the waist, and let the knees stay over the feet.
The palms face each other as if they held a coil of line.
Draw the line in, hand over hand, and let it fall at your feet.
Breathe in as the tide comes over the sill.
Breathe out as it runs away down the stones.
Shift your weight into the left leg and feel the floor under the heel.
Keep a wall or a chair at hand for this one.
The toes may stay down, and that is quite enough.
If you are steady, lift the heel, and later the whole foot.
Look at one spot on the far wall and let the eyes be soft.
Set the foot down without a sound.
Step in, feet together, and stand like a mooring post.
Carry on in your own time. I will call you back.
There is nothing to do here but stand.
Let the jaw be loose and the tongue rest behind the teeth.
When you are ready, open your eyes and come back to the hall.
Bend the knees first, then fold at the hips, only as far as your back is glad of.
A small lean forward is enough.
Come up slowly, and let the head come last.
Rub the palms together until they are warm.
Bring both hands to the lower belly and leave them there.
Natural breath. No effort at all.
Thank you for standing with me this morning.
Walk slowly down to the boat, and keep the knees soft on the steps.
Five each way, no bigger than a bucket.
Small circles of the shoulders, backwards first.
Let the elbows sink and the wrists float.
The spine lengthens, as if the crown hung from a thread.
Tuck nothing, push nothing, only let the tailbone drop.
Haul the slow net in four breaths, and rest between.
First breath: reach down and take hold.
Second breath: draw it to the knees.
Third breath, up to the belly.
The fourth breath is one long sigh, and the net is home.
Do this 3 times, then change.
We stay here for 30 seconds.
It is 6:45 and the harbour is quiet.
This is the 2nd of eight.
Palms up.
Palms down.
Weight to the right, and the left hand rises.
Weight to the left, and the right hand rises.
Open the arms as the gulls leave the wall.
Close them as the gulls settle again.
Your breath may be longer or shorter than mine; follow your own.
If your arms are tired, keep them below the shoulders.
If you prefer to stay seated, only the arms move.
Let the breath out through the mouth, once, with a sound.
In through the nose, out through the nose.
Listen for the bell buoy, far out.
Sway with it, from heel to toe and back.
Smaller now, and smaller again, until nobody could see it.
Stand still and notice what goes on moving inside.
Row away from the quay, leaning from the ankles.
Row home, with the whole back.
The hands pass the hips, then the ribs, then the heart.
Like the keeper on the stairs, one hand always on the rail.
Turn the light out over the water, and wait, and bring it home.
Follow the hand with the eyes, not with the neck.
The back foot may turn a little if the knee asks for it.
Four more breaths here.
One more, slower than the last.
Let the hands float down like ash.
Remember the fire on the evening we banked the stove together.
Nobody is counting but me.
If you feel light-headed, stop and breathe as you always do.
Take an extra breath whenever you need one.
Slow is not heavy.
The net is full, so take your time with it.
Feel the edges of both feet, the inner and the outer.
Step out to the left, as wide as the doorway.
Sink a little, no lower than is comfortable today.
Rise with the breath, sink with the breath.
The shoulders do not help.
Gather the morning in with both arms.
Press it gently down in front of you.
Heron on the piling, one leg at a time.
Coiling the line, first towards the window.
Now away from the window.
Setting down the nets.
We begin with the feet and work upward to the crown of the head.
Imagine that the floor is a raft, and that you would like to keep it level.
Let the out-breath be a little longer than the in-breath.
Pour the weight from one foot to the other, the way you would pour water between two jugs.
Whatever the weather outside, the water under the hall is calm.
Quiet hands, quiet eyes, quiet breath.
Both arms rise, wrists leading, as light as smoke.
And down, elbows leading, as heavy as wet wool.
Two to three minutes of this would do on a busy day.
That is the whole of it.
Until Thursday, then, at the usual hour.
`
  .trim()
  .split('\n');
