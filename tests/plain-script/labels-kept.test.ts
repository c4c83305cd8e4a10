import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * Labels that people write in a script of their own, also those that are keys of the tidy form: what stands behind them is in
 * the class, or the line is marked.
 */

const LABELS =
  'focus|for|target|lands within|breath|inhale share|voice|keep on target|silence|counting|sides said|at the left|at the right|circles seen|breath through|belly|breath out|rounds in|skip a hold|length|theme|breath here|also|also called|stands|stance|sides|paced by|rounds|time|fade|naming|first a caution|sending|rounds left|leaving|said around it|seen from|last|change|way change|call back before the end|breathes|levels|cautions|seated|library|tempo|timed|caution|eyes|opening|reassurance|call back|takes|say|priority|state|block|tied|goes with|quiet|in|out|rest|level|over|hold|free|weight|hands|feet|knees|arms|gaze|image|picture|intention|music|mood|posture|position|start|end|finish|direction|leading side|pace|speed|rhythm|tip|watch|remember|why|benefit|purpose|meaning|transition|next|variation'.split('|'); // prettier-ignore
const TEXTS = ['soft like warm bread', 'relaxed and wide', 'turn slowly to the window'];
const PLACES: Readonly<Record<string, string>> = {
  'a movement': 'Harbour morning\n\nMain set\n- Bow x3\n- Rowing x8\nLINE\n- Cloud hands x6',
  'a silence': 'Harbour morning\n\nMain set\n- Bow x3\nStand quietly for two minutes\nLINE\n- Cloud hands x6',
  'a talk': 'Harbour morning\n\nWelcome\nGood morning, and welcome to the hall.\nLINE\n\nMain set\n- Cloud hands x6',
  'a part': 'Harbour morning\n\nMain set\n- Bow x3\n\nClosing\nLINE\n- Cloud hands x6',
  'the title': 'Harbour morning\nLINE\n\nMain set\n- Bow x3',
};

/** Whether a word of the line is nowhere in the class, and nothing tells that it was a guess. */
function isLost(script: string, line: string, text: string): boolean {
  const { plan, lines } = readScript(countingIds('l'), script.replace('LINE', line));
  const all = JSON.stringify(plan).toLowerCase();
  const read = lines.find((one) => one.text === line);
  const marked = read === undefined || read.unsure || read.kind === 'nothing';
  return !marked && text.split(' ').some((word) => word.length > 3 && !all.includes(word));
}

describe('what stands behind a label', () => {
  it.each(Object.entries(PLACES))('below %s is not lost', (_, script) => {
    const lost = LABELS.flatMap((label) => [label, label.charAt(0).toUpperCase() + label.slice(1)]).flatMap((label) =>
      TEXTS.map((text) => [`${label}: ${text}`, text] as const).filter(([line, text]) => isLost(script, line, text)),
    );
    expect(lost).toEqual([]);
  });
});
