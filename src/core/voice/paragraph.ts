/** What is read aloud to be measured, sentence by sentence: plain words of a class, about half a minute. */
export const VOICE_PARAGRAPH: readonly string[] = [
  'Stand with your feet as wide as your hips, and let the knees be easy.',
  'Let the shoulders hang from the neck like wet rope.',
  'Breathe in, and the wrists carry the lamp up.',
  'Breathe out, and set it down on dark water.',
  'Turn from the waist, slowly, and look over the harbour.',
  'Stay within what is easy, and rest whenever you like.',
  'Feel the floor under both feet, from the heels to the toes.',
  'And come back to the middle, and be still.',
];
