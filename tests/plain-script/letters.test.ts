import { describe, expect, it } from 'vitest';
import { isMovement } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * One class with what comes along when it is copied out of a letter, a chat, a file or a printed page. What stands around
 * it makes no steps and no parts, its title is found, and its length where it is written.
 */

const BODY = [
  'Warm up',
  '- Shoulder rolls x8',
  '- Hip circles, 6 each way',
  '',
  'Main',
  '- Lifting the Water x8',
  '- Parting the Reeds, 4 each side',
  '',
  'End',
  '- Standing quietly, 2 min',
];
const AROUND: Readonly<Record<string, (body: readonly string[]) => readonly string[]>> = {
  plain: (b) => ['Tuesday class', '', ...b],
  'hi all': (b) => [
    'Hi all,',
    '',
    'here is the plan for Tuesday, 30 minutes as usual.',
    '',
    ...b,
    '',
    'See you then!',
    'Marin',
  ],
  dear: (b) => [
    'Dear Wren,',
    '',
    'Thank you for covering my class on Thursday. Below is what we normally do.',
    '',
    ...b,
    '',
    'Kind regards,',
    'Marin',
  ],
  headers: (b) => [
    'From: Marin <marin@harbour.example>',
    'To: Wren <wren@harbour.example>',
    'Date: Mon, 3 Mar 2025 at 10:15',
    'Subject: Tuesday class',
    '',
    'Hi Wren,',
    '',
    ...b,
    '',
    'Best',
    'Marin',
  ],
  'headers sent': (b) => [
    'From: Marin',
    'Sent: Monday, March 3, 2025 10:15 AM',
    'To: Wren',
    'Cc: Harbour Studio',
    'Subject: RE: Tuesday class plan (30 min)',
    '',
    ...b,
  ],
  fwd: (b) => [
    '---------- Forwarded message ---------',
    'From: Marin <marin@harbour.example>',
    'Date: Mon, 3 Mar 2025 at 10:15',
    'Subject: Tuesday class',
    'To: <wren@harbour.example>',
    '',
    '',
    ...b,
  ],
  'fwd 2': (b) => [
    'Begin forwarded message:',
    '',
    'From: Marin',
    'Subject: Tuesday class',
    'Date: 3 March 2025 at 10:15:22 GMT',
    'To: Wren',
    '',
    ...b,
  ],
  'on wrote quoted': (b) => [
    'Sounds good!',
    '',
    'On Mon, 3 Mar 2025 at 10:15, Marin <marin@harbour.example> wrote:',
    ...b.map((l) => `> ${l}`),
  ],
  'on wrote': (b) => ['On 3 Mar 2025, at 10:15, Marin wrote:', '', ...b],
  'quoted all': (b) => ['Tuesday class', '', ...b].map((l) => `> ${l}`),
  'quoted twice': (b) => ['Tuesday class', '', ...b].map((l) => `>> ${l}`),
  'sig dashes': (b) => [
    'Tuesday class',
    '',
    ...b,
    '',
    '-- ',
    'Marin',
    'Harbour Studio',
    '12 Quay Street',
    'Tel. 0123 456 789',
    'www.harbour.example',
  ],
  'sig plain': (b) => [
    'Tuesday class',
    '',
    ...b,
    '',
    'Warm regards,',
    '',
    'Marin Vale',
    'Teacher of qigong',
    '+44 1234 567890',
    'marin@harbour.example',
    'https://harbour.example/classes',
  ],
  phone: (b) => ['Tuesday class', '', ...b, '', 'Sent from my phone'],
  'phone 2': (b) => ['Tuesday class', '', ...b, '', 'Sent from my tablet', ''],
  disclaimer: (b) => [
    'Tuesday class',
    '',
    ...b,
    '',
    'This message is intended only for the person it is addressed to. If you have received it in error please delete it.',
    '',
    'Please consider the environment before printing this email.',
  ],
  'chat stamps': (b) => ['Tuesday class', '', ...b].filter(Boolean).map((l) => `[03/03/2025, 10:15:22] Marin: ${l}`),
  'chat stamps 2': (b) => ['Tuesday class', '', ...b].filter(Boolean).map((l) => `03/03/2025, 10:15 - Marin: ${l}`),
  'chat block': (b) => ['Marin  10:15 AM', 'Tuesday class', '', ...b],
  'intro para': (b) => [
    'Tuesday class',
    '',
    'This is the plan we have used since last autumn; people like it and nobody has asked for a change so far. Take your time with it.',
    '',
    ...b,
    '',
    'If it rains we move inside, the key is at the desk. The heater takes ten minutes to get warm.',
    '',
    'PS: bring the bell',
  ],
  'meta block': (b) => [
    'Class: Tuesday class',
    'Teacher: Marin',
    'Date: 3 March 2025',
    'Time: 10:15-10:45',
    'Place: Harbour hall',
    'Level: mixed',
    'Duration: 30 min',
    '',
    ...b,
  ],
  'meta block 2': (b) => [
    'TUESDAY CLASS',
    'Duration: 30 minutes | Level: beginners | Equipment: chairs',
    'Theme: letting go',
    'Music: sea sounds',
    '',
    ...b,
  ],
  'meta bullets': (b) => ['# Tuesday class', '', '- Length: 30 min', '- Level: beginners', '- Props: chairs', '', ...b],
  yaml: (b) => [
    '---',
    'title: Tuesday class',
    'date: 2025-03-03',
    'tags: [qigong, beginners]',
    'duration: 30',
    '---',
    '',
    ...b,
  ],
  md: (b) => [
    '# Tuesday class',
    '',
    ...b.map((l) => (/^(Warm|Main|End)/.test(l) ? `## ${l}` : l.replace(/^- /, '* '))),
  ],
  'md bold': (b) => ['**Tuesday class**', '', ...b.map((l) => (/^(Warm|Main|End)/.test(l) ? `**${l}**` : l))],
  'md bold colon': (b) => ['**Tuesday class**', '', ...b.map((l) => (/^(Warm|Main|End)/.test(l) ? `**${l}:**` : l))],
  hr: (b) => [
    'Tuesday class',
    '=============',
    '',
    ...b.flatMap((l) => (/^(Main|End)/.test(l) ? ['----------', l] : [l])),
  ],
  stars: (b) => ['*** Tuesday class ***', '', ...b.map((l) => (/^(Warm|Main|End)/.test(l) ? `*** ${l} ***` : l))],
  html: (b) => ['Tuesday class', '', ...b].map((l) => l.replace(/^- /, '&bull; ').replace(/&(?!bull)/g, '&amp;')),
  nbsp: (b) => ['Tuesday class', '', ...b].map((l) => l.replace(/ /g, '\u00a0')),
  page: (b) => ['Tuesday class', 'Page 1 of 2', '', ...b.slice(0, 3), '', 'Page 2 of 2', '', ...b.slice(4)],
  page2: (b) => [
    'Tuesday class                                          1',
    '',
    ...b.slice(0, 3),
    '',
    '2',
    '',
    ...b.slice(4),
  ],
  version: (b) => ['Tuesday class v3 (updated 3 March)', '', ...b],
  copyright: (b) => ['Tuesday class', '', ...b, '', '© 2025 Harbour Studio. All rights reserved.'],
  total: (b) => ['Tuesday class', '', ...b, '', 'Total: 30 min'],
  'total 2': (b) => ['Tuesday class', '', ...b, '', 'TOTAL TIME 30 MINUTES'],
  'total 4': (b) => ['Tuesday class', '', ...b, '', 'Total running time approx. 30 min (incl. questions)'],
  homework: (b) => ['Tuesday class', '', ...b, '', 'Homework: practise Parting the Reeds every morning, 5 minutes.'],
  'next week': (b) => ['Tuesday class', '', ...b, '', 'Next week: Rowing the Boat'],
  equipment: (b) => ['Tuesday class', '', 'You need: 2 chairs, 1 blanket, water', '', ...b],
  'to bring': (b) => ['Tuesday class', '', 'Bring:', '- bell', '- speaker', '- 12 chairs', '', ...b],
  reminders: (b) => [
    'Tuesday class',
    '',
    ...b,
    '',
    'Notes:',
    '- Ada has a new hip',
    '- open the windows',
    '- pay the hall (12 euros)',
  ],
  aims: (b) => ['Tuesday class', '', 'Aims', '- soft shoulders', '- slower breath', '', ...b],
  attendance: (b) => ['Tuesday class', '14 people, mostly beginners', '', ...b],
  tldr: (b) => ['Tuesday class', 'tl;dr shoulders, hips, water, reeds, stand', '', ...b],
};

describe('what a class is copied out of', () => {
  it.each(Object.entries(AROUND))('%s', (name, around) => {
    const text = around(BODY).join('\n');
    const { plan } = readScript(countingIds('l'), text);
    const done = plan.sections.flatMap(({ steps }) =>
      steps.flatMap((step) => {
        if (isMovement(step)) return [`${step.name} ${step.rounds} ${step.sides}`];
        return step.kind === 'silence' ? [`${step.name} ${step.seconds} s`] : [];
      }),
    );
    expect(done).toEqual([
      'Shoulder rolls 8 together',
      'Hip circles 6 both-directions',
      'Lifting the Water 8 together',
      'Parting the Reeds 4 alternating',
      'Standing quietly 120 s',
    ]);
    const parts = plan.sections.map(({ title }) => title.toLowerCase()).filter((title) => title !== 'welcome');
    expect(parts).toEqual(['warm up', 'main', 'end']);
    if (!/hi all|dear|on wrote/.test(name)) expect(plan.title).toMatch(/^tuesday class/i);
    if (/\b30 ?min|duration: 30/i.test(text)) expect(plan.targetSeconds).toBe(1800);
  });

  it('reads out nothing that a program wrote', () => {
    const { lines } = readScript(
      countingIds('l'),
      ['From: Marin <marin@harbour.example>', 'Subject: Tuesday class', '', ...BODY, '', 'Sent from my phone'].join(
        '\n',
      ),
    );
    expect([lines[0]?.kind, lines.at(-1)?.kind]).toEqual(['nothing', 'nothing']);
  });
});
