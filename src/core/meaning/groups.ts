/*
 * Words that stand for the same thing, as far as the checks ask. Own lists: common practice, no published source; each
 * word stands for all its forms (by its stem), `=word` for itself alone.
 */

export const GROUPS: Readonly<Record<string, string>> = {
  no: 'no not never nothing nobody without dont cannot cant avoid neednt',
  the: 'the your this that its his her their our my a an all any every some',
  // The body
  organ:
    'organ liver kidney spleen lung heart gut bowel stomach bladder gallbladder intestine pancreas brain blood womb prostate thyroid',
  system:
    'immunity immune circulation digestion metabolism hormone hormonal lymph lymphatic nervous nerves memory longevity cardiovascular respiratory endocrine cortisol serotonin dopamine endorphin oestrogen cholesterol bone skeleton eyesight fertility libido',
  illness:
    'pain arthritis osteoporosis osteopenia depression anxiety cancer disease illness insomnia headache migraine sciatica diabetes asthma hypertension constipation inflammation cold flu infection parkinson dementia stroke vertigo fatigue rheumatism tinnitus cortisol ache ailment sickness allergy injury lumbago hernia reflux heartburn snoring fibromyalgia panic burnout trauma eczema gout ulcer palpitation spasm cramp swelling wheeze neuralgia covid menopause period backache toothache bellyache stomachache earache tumour tumor cough catarrh sinusitis hayfever psoriasis anaemia angina arrhythmia bronchitis colitis cystitis epilepsy hepatitis incontinence lupus neuropathy osteoarthritis pneumonia prolapse scoliosis stenosis tendonitis tendinitis thrombosis bloating indigestion piles haemorrhoids nausea hypotension cataract cellulitis bursitis bunion sprain whiplash concussion spondylosis',
  condition:
    'arthritis osteoporosis osteopenia pregnant pregnancy asthma glaucoma hypertension diabetes condition illness disease implant pacemaker sore bad surgery injury trouble pressure heart',
  joint: 'back spine neck knee hip shoulder elbow wrist ankle joint disc',
  cure: 'cure heal remedy treat relieve alleviate banish eliminate fix reverse prevent combat fight beat defeat tackle mend repair ease erase end',
  better:
    'boost strengthen improve increase enhance raise stimulate regulate balance normalise normalize sharpen restore support stronger lower reduce wake activate rejuvenate open clear slow keep help build good',
  cleanse:
    'cleanse clean drain unblock detox detoxify purify flush wash tonify tone nourish feed massage stimulate rinse',
  // Ways to move
  hold: 'hold retain lock keep suspend stop',
  breath: 'breath breathing breathe air inhale exhale inhalation exhalation',
  gently:
    'feather snail patient whisper gentle gently soft softly light lightly slow slowly small smaller tiny mild mildly careful carefully easy easily little shallow kind kinder comfortable comfort',
  small:
    'small smaller smallest little tiny slight half halfway shallow shallower modest less least lower few lesser minimal',
  sore: 'tired sore ache painful pain tender bad trouble weak stiff thin problem hurt complain injured delicate brittle fragile',
  told: 'told doctor physio physiotherapist advised therapist',
  bend: 'bend fold bow lean tip hinge stoop',
  strike: 'tap pat drum knock pound thump slap beat clap',
  belly: 'belly tummy stomach abdomen navel',
  lowback: 'kidney lumbar',
  prop: 'trunk bench wall chair rail railing banister counter table sofa couch post pole tree doorframe windowsill sill ledge barre bench stool desk worktop fence',
  seat: 'chair stool bench seat sofa wheelchair armchair',
  near: 'near finger fingertip palm beside reach hand hold touch use against by next close to at finger within have behind',
  ground: 'floor ground earth',
  dizzy: 'dizzy dizziness giddy faint glaucoma hypertension lightheaded vertigo swim swims woozy',
  mood: 'plenty choose choice decide care avoid who whoever anyone anybody almost nobody least friendly kind pleasant nice wish quiet under must needn yes unlocked fewer rather if only may neednt no not never dont doesnt cannot unless whichever whatever hardly barely different enough less small smaller tiny little slight slow slowly gentle gently soft softly easy careful carefully light lightly sore stiff grumpy cranky stop optional option also instead alternatively quarter halfway skip either comfortable comfortably half prefer trouble hurt welcome allowed',
  reserved:
    'if only may neednt no not never dont isnt doesnt cannot unless whichever whatever who whoever whenever anyone anybody nobody hardly enough less smaller smallest plenty choose avoid careful care caution omit optional stop prefer sore pain painful hurt trouble complain comfortable wish allowed half contest peace kind moment option also instead alternatively quarter halfway skip bench railing medal',
  cond: 'if when anyone anybody those who whoever with should unless',
  pregnant: 'pregnant pregnancy expecting menstruating',
};
