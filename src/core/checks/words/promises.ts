/**
 * Wordings that promise something for health, each with a plainer one. A kept list, common practice: which claims may
 * be made is decided by local rules.
 */
export const PROMISES: readonly { readonly known: RegExp; readonly plainer: string }[] = [
  { known: /\b(?:will |can )?(?:cures?|heals?) (?:your |the |all )?(?:\w+)/i, plainer: 'may feel good for you' },
  { known: /\b(?:will )?(?:lowers?|reduces?|brings? down) (?:your |the )?blood pressure/i, plainer: 'slows the pace' },
  { known: /\b(?:boosts?|strengthens?) (?:your |the )?immun\w+( system)?/i, plainer: 'wakes the body up' },
  {
    known: /\b(?:detox\w*|flush(?:es)? (?:out )?(?:the )?toxins?|removes? toxins?)/i,
    plainer: 'lets you breathe out fully',
  },
  {
    known:
      /\b(?:prevents?|treats?|relieves?) (?:\w+ )?(?:pain|arthritis|depression|anxiety|cancer|disease|illness|insomnia|headaches?)/i,
    plainer: 'is a quiet thing to do',
  },
  {
    known: /\bguarantee[sd]?\b|\bclinically proven\b|\bscientifically proven\b|\bdoctors recommend\b/i,
    plainer: 'many people like it',
  },
  {
    known: /\b(?:perfectly |completely |totally )?safe for (?:everyone|everybody|all|you)\b/i,
    plainer: 'done within what feels easy',
  },
  {
    known: /\bcleans(?:es|ing) (?:your |the )?(?:blood|liver|organs|lungs|kidneys)\b/i,
    plainer: 'moves the ribs and the waist',
  },
  { known: /\b(?:massages|stimulates) (?:your |the )?(?:internal )?organs\b/i, plainer: 'moves the belly' },
  { known: /\bimproves? (?:your )?(?:circulation|digestion|memory|longevity)\b/i, plainer: 'gets things moving' },
];
