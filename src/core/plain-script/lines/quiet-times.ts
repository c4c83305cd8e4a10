import { sentenceCase } from '../model/line-words';

/* Silences by what is said of them alone: "A quiet minute", "Nobody moves for a minute". */

const MINUTE_OF_QUIET =
  /^(?:(?:and|now|then|next)[,:]? )*(?:an? |one )?(?:(?:last |final |more |long )?(?:quiet|silent|still|empty) minute|(?:(?:last|final|full|whole|long) )?minute(?:['’]s (?:hush|silence|quiet|stillness|rest)| (?:of )?(?:silence|quiet|stillness|nothing|hush|calm|peace)| without (?:any )?(?:talking|words|speaking|moving|sound|noise)| with (?:the |your )?(?:closed eyes|eyes (?:closed|shut))| (?:on|for) (?:the |your )?(?:breath|belly|body|feet)| to (?:settle|arrive|rest|be still|be quiet|listen|feel (?:the |your |it |what )?\p{L}+|notice (?:the |your |what )?\p{L}+|let it \p{L}+)))(?:,? (?:to (?:close|end|finish|start|begin|settle|arrive)|and (?:then )?(?:I|we)|with|hands|eyes|standing|sitting|seated|together|at the end)\b[^.!?\d]{0,40})?[.!]?$/iu;

/** "A quiet minute", "The last minute of silence, hands on the belly": its time is in its name. */
export function isMinuteOfQuiet(body: string): boolean {
  return MINUTE_OF_QUIET.test(body);
}

/** "Nobody moves for a minute", "No talking, 1 min", "Hold the quiet 1 min". */
const SILENT_ALONE =
  /^(?:(?:and|now|then|next)[,:]? )*(?:nobody (?:moves|speaks|talks)|I (?:say nothing|stop (?:speaking|talking)|keep (?:quiet|silent)|am (?:quiet|silent)|stay (?:quiet|silent)|do not (?:talk|speak)|don['’]t (?:talk|speak))|no (?:instructions|cues|guidance|voice)[,:;.]? (?:just |only )?(?:breathe|stand|sit|be|rest|listen)|rest (?:on|in|against) (?:your|the) (?:chair|mat|back|side|floor|seat|bench|wall|bed)|no (?:talk(?:ing)?|words|speaking)|(?:hold|keep) (?:the |this )?(?:quiet|silence|stillness)|let (?:the )?(?:silence|stillness) \p{L}+|(?:breathe|stand|sit|wait) and be (?:still|quiet|silent)|leave (?:them|everyone|everybody|people) in (?:silence|stillness|peace))(?:$|[ ,.;(])/iu;

/** Whether a line with a time says that nobody moves or speaks. */
export function isSilentAlone(body: string): boolean {
  return SILENT_ALONE.test(body);
}

/** What a silence is called, without its amount. */
export function silentName(body: string): string {
  const [name = ''] = SILENT_ALONE.exec(body) ?? [];
  return sentenceCase(name.replace(/^(?:(?:and|now|then|next)[,:]? )+|[\s,.;(]+$/gi, ''));
}
