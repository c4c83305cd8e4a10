import { describe, expect, it } from 'vitest';
import { asOutline, withStepsListed, withWaysJoined } from './outline';

describe('a plan that is set as an outline', () => {
  it('has headings where whole lines in bold type stand over lists, and none where only one does', () => {
    const bold = ['**Calm shoulders**', '', '**1. Neck (3 min)**', '- Nod x4', '**2. Arms:**', '- Row x6'];
    expect(asOutline(bold)).toEqual([
      '# Calm shoulders', '', '## Neck (3 min)', '- Nod x4', '## Arms', '- Row x6',
    ]); // prettier-ignore
    const one = ['Evening', '**Mind the step**', '- Row x6'];
    expect(asOutline(one)).toEqual(one);
  });

  it('is without what offers it, where a title stands below', () => {
    const offer = "Sure! Here's a 20-minute class plan for beginners:";
    expect(asOutline([offer, '', '# Low water', '- Row x6'])[0]).toBe('');
    expect(asOutline([offer, '', 'Row x6'])[0]).toBe(offer);
  });

  it('has parts behind Roman numerals in order, steps behind letters, what is told behind figures', () => {
    const roman = ['I. Opening', '   A. Greeting', '      1. feet parallel', 'II. Main', '   A. Row x6'];
    expect(asOutline(roman)).toEqual(['## Opening', '- Greeting', '  - feet parallel', '## Main', '- Row x6']);
    const others = ['I. Opening', '   A. Greeting', 'V. Main', '   A. Row x6'];
    expect(asOutline(others)).toEqual(others);
  });

  it('has parts as long as the times before or behind their names, from zero on', () => {
    expect(asOutline(['## 0:00–3:00 | Opening', '## 3:00-4:30 | Rest'])).toEqual([
      '## Opening (3 min)',
      '## Rest (90 s)',
    ]);
    expect(asOutline(['## Opening (0–3 min)', '## Main (3–8 min)'])).toEqual(['## Opening (3 min)', '## Main (5 min)']);
    const ofDay = ['## 18:00–18:30 Beginners', '## 18:30–19:30 Others'];
    expect(asOutline(ofDay)).toEqual(ofDay);
  });

  it('tells what is set apart with a label like anything else', () => {
    expect(asOutline(['> **Tip:** soft knees', '> soft knees, 1 min'])).toEqual(['**Tip:** soft knees', '> soft knees, 1 min']); // prettier-ignore
  });

  it('names steps by headings that count rounds over no steps', () => {
    expect(withStepsListed(['## Rowing (8x)', 'Inhale: draw.'])[0]).toBe('- Rowing (8x)');
    expect(withStepsListed(['## Rowing (8x)', '- Oars x4'])[0]).toBe('## Rowing (8x)');
  });

  it('does the same both ways in two lines', () => {
    const ways = ['- 8 circles clockwise', '- 8 circles counterclockwise'];
    expect(withWaysJoined(ways)).toEqual(['- 8 each way', '']);
    const others = ['- 8 circles clockwise', '- 6 circles counterclockwise'];
    expect(withWaysJoined(others)).toEqual(others);
  });
});
