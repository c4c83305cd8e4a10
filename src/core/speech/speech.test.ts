import { describe, expect, it } from 'vitest';
import { cardinal, countSyllables, lineWeight, ordinal, speakingSeconds, spokenText, wordsOf } from '.';

describe('numbers, times and abbreviations', () => {
  it.each([
    [0, 'zero'],
    [12, 'twelve'],
    [21, 'twenty one'],
    [100, 'one hundred'],
    [342, 'three hundred and forty two'],
    [1005, 'one thousand and five'],
    [20_300, 'twenty thousand three hundred'],
  ])('says %d as %s', (value, words) => {
    expect(cardinal(value)).toBe(words);
  });

  it('says ordinals', () => {
    expect([1, 2, 3, 5, 9, 12, 20, 21, 40].map(ordinal)).toEqual([
      'first',
      'second',
      'third',
      'fifth',
      'ninth',
      'twelfth',
      'twentieth',
      'twenty first',
      'fortieth',
    ]);
  });

  it.each([
    ['70 %', 'seventy per cent'],
    ['at 6:45', 'at six forty five'],
    ['at 7:00', "at seven o'clock"],
    ['at 6:05', 'at six oh five'],
    ['the 3rd', 'the third'],
    ['2.5 cm', 'two point five centimetres'],
    ['30 s', 'thirty seconds'],
    ['3–5 times', 'three to five times'],
    ['1,200', 'one thousand two hundred'],
    ['e.g. a chair', 'for example a chair'],
  ])('reads %j as %j', (text, said) => {
    expect(spokenText(text)).toBe(said);
  });
});

describe('speaking time', () => {
  const voice = { syllablesPerMinute: 190 };

  it('is nothing for nothing, and for marks without a word', () => {
    expect([speakingSeconds('', voice), speakingSeconds(' ... !', voice), speakingSeconds('🌊', voice)]).toEqual([
      0, 0, 0,
    ]);
  });

  it('grows with words, commas and stops, and shrinks with the rate', () => {
    const plain = lineWeight('Breathe in and rise');
    expect(lineWeight('Breathe in, and rise')).toBeGreaterThan(plain);
    expect(lineWeight('Breathe in. And rise')).toBeGreaterThan(lineWeight('Breathe in, and rise'));
    expect(speakingSeconds('Breathe in and rise', { syllablesPerMinute: 380 })).toBeCloseTo(
      speakingSeconds('Breathe in and rise', voice) / 2,
      2,
    );
  });

  it('gives a time to other scripts too', () => {
    expect(speakingSeconds('مرحبا بكم', voice)).toBeGreaterThan(0.5);
  });

  it('is quick on an absurd line', () => {
    expect(speakingSeconds('in '.repeat(10_000), voice)).toBeGreaterThan(1000);
  });
});

describe('syllables', () => {
  it.each([
    ['breathe', 1],
    ['shoulders', 2],
    ['lighthouse', 2],
    ['elbows', 2],
    ['moved', 1],
    ['rested', 2],
    ['qigong', 2],
    ['dantian', 2],
    ['naïve', 2],
  ])('counts %s as %d', (word, count) => {
    expect(countSyllables(word)).toBe(count);
  });

  it('keeps apostrophes inside words', () => {
    expect(wordsOf("Feet a hand's width; don’t push.")).toEqual(['Feet', 'a', "hand's", 'width', 'don’t', 'push']);
  });
});
