/*
 * Words that stand for the same thing, as far as the checks ask. Own lists: common practice, no published source; each
 * word stands for all its forms (by its stem), `=word` for itself alone.
 */

export const GROUPS: Readonly<Record<string, string>> = {
  no: 'no not never nothing nobody without dont cannot cant avoid neednt',
  the: 'the your this that its his her their our my a an all any every some',
  // The body
  organ:
    'organ liver kidney spleen lung heart gut bowel stomach bladder gallbladder intestine pancreas brain blood womb prostate thyroid colon adrenal artery vein sinus marrow uterus ovary airway vessel',
  system:
    'immunity immune circulation digestion metabolism hormone hormonal lymph lymphatic nervous nerves memory longevity cardiovascular respiratory endocrine cortisol serotonin dopamine endorphin oestrogen cholesterol bone skeleton eyesight fertility libido digestive circulatory metabolic defences cognition vitality vagus stamina',
  illness:
    'pain arthritis osteoporosis osteopenia depression anxiety cancer disease illness insomnia headache migraine sciatica diabetes asthma hypertension constipation inflammation cold flu infection parkinson dementia stroke vertigo fatigue rheumatism tinnitus cortisol ache ailment sickness allergy injury lumbago hernia reflux heartburn snoring fibromyalgia panic burnout trauma eczema gout ulcer palpitation spasm cramp swelling wheeze neuralgia covid menopause period bronchitis sinusitis tendonitis bursitis scoliosis sclerosis lupus epilepsy angina thrombosis nausea indigestion bloating hangover catarrh hayfever tumour ptsd addiction obesity cellulite wrinkle infertility incontinence',
  condition:
    'arthritis osteoporosis osteopenia pregnant pregnancy asthma glaucoma hypertension diabetes condition illness disease implant pacemaker sore bad surgery injury trouble pressure heart',
  joint: 'back spine neck knee hip shoulder elbow wrist ankle joint disc',
  cure: 'cure heal remedy treat relieve alleviate banish eliminate fix reverse prevent combat fight beat defeat tackle mend repair ease erase end conquer overcome kill vanquish undo abolish',
  better:
    'boost strengthen improve increase enhance raise stimulate regulate balance normalise normalize sharpen restore support stronger lower reduce wake activate rejuvenate open clear slow keep help build good revitalise revitalize recharge renew fortify optimise optimize rebalance harmonise harmonize awaken invigorate maximise maximize heighten',
  cleanse:
    'cleanse clean drain unblock detox detoxify purify flush wash tonify tone nourish feed massage stimulate rinse scrub scour purge decongest unclog rid',
  // Ways to move
  hold: 'hold retain lock keep suspend stop',
  breath: 'breath breathing breathe air inhale exhale inhalation exhalation',
  gently:
    'feather snail patient whisper gentle gently soft softly light lightly slow slowly small smaller tiny mild mildly careful carefully easy easily little shallow kind kinder comfortable comfort delicately leisurely unhurried feathery lazily tender tenderly',
  small:
    'small smaller smallest little tiny slight half halfway shallow shallower modest less least lower few lesser minimal moderate mini wee fraction subtle token quarter',
  sore: 'tired sore ache painful pain tender bad trouble weak stiff thin problem hurt complain injured delicate brittle fragile grumble twinge creak creaky tricky dodgy wonky cranky fussy troublesome protest wobbly unhappy irritate inflame gammy iffy operated',
  told: 'told doctor physio physiotherapist advised therapist nurse surgeon gp consultant osteopath chiropractor midwife specialist clinician hospital',
  bend: 'bend fold bow lean tip hinge stoop',
  strike: 'tap pat drum knock pound thump slap beat clap rap hammer bang smack pummel',
  belly: 'belly tummy stomach abdomen navel gut midriff',
  lowback: 'kidney lumbar',
  prop: 'wall chair rail railing banister counter table sofa couch post pole tree doorframe windowsill sill ledge barre bench stool desk worktop fence shelf piano pillar column radiator bannister handrail bar frame cane cupboard dresser gate trunk',
  seat: 'chair stool bench seat sofa wheelchair armchair settee couch pew bed recliner perch',
  near: 'near finger fingertip palm beside reach hand hold touch use against by next close to at finger within have behind',
  ground: 'floor ground earth',
  dizzy:
    'dizzy dizziness giddy faint glaucoma hypertension lightheaded vertigo swim swims woozy spinning swimmy unsteady whirl',
  mood: 'plenty choose choice decide care avoid who whoever anyone anybody almost nobody least friendly kind pleasant nice wish quiet under must needn yes unlocked fewer rather if only may neednt no not never dont doesnt cannot unless whichever whatever hardly barely different enough less small smaller tiny little slight slow slowly gentle gently soft softly easy careful carefully light lightly sore stiff stop optional comfortable comfortably half prefer trouble hurt welcome allowed',
  reserved:
    'if only may neednt no not never dont isnt doesnt cannot unless whichever whatever who whoever whenever anyone anybody nobody hardly enough less smaller smallest plenty choose avoid careful care caution omit optional stop prefer sore pain painful hurt trouble complain comfortable wish allowed half contest peace kind moment',
  cond: 'if when anyone anybody those who whoever with should unless',
  pregnant: 'pregnant pregnancy expecting menstruating expectant trimester',
};
