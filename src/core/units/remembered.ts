const REMEMBER_AT_MOST = 20_000;

/** A function of a text that remembers: a class says the same lines many times, and after an edit nearly all again. */
export function remembered<Value>(of: (text: string) => Value): (text: string) => Value {
  const kept = new Map<string, Value>();
  return (text) => {
    const before = kept.get(text);
    if (before !== undefined) return before;
    if (kept.size >= REMEMBER_AT_MOST) kept.clear();
    const value = of(text);
    kept.set(text, value);
    return value;
  };
}

const LATELY = 64;

/** A function of a text that remembers the last few: a line is asked the same several times while it is read. */
export function rememberedLately<Value>(of: (text: string) => Value): (text: string) => Value {
  const kept = new Map<string, Value>();
  return (text) => {
    if (kept.has(text)) return kept.get(text) as Value;
    if (kept.size >= LATELY) kept.clear();
    const value = of(text);
    kept.set(text, value);
    return value;
  };
}
