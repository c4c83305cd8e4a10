const REMEMBER_AT_MOST = 20_000;

/** What was found before by a text; forgotten all at once where it becomes too much. */
class Kept<Value> {
  private readonly byText = new Map<string, Value>();

  get(text: string): Value | undefined {
    return this.byText.get(text);
  }

  keep(text: string, value: Value): Value {
    if (this.byText.size >= REMEMBER_AT_MOST) this.byText.clear();
    this.byText.set(text, value);
    return value;
  }
}

/** A function of a text that remembers: a class says the same lines many times, and after an edit nearly all again. */
export function remembered<Value>(of: (text: string) => Value): (text: string) => Value {
  const kept = new Kept<Value>();
  return (text) => {
    const before = kept.get(text);
    return before === undefined ? kept.keep(text, of(text)) : before;
  };
}

/** A function of a text and what it stands in, that remembers; `keyOf` tells all apart for which it may differ. */
export function rememberedBy<Around, Value>(
  keyOf: (text: string, around: Around) => string,
  of: (text: string, around: Around) => Value,
): (text: string, around: Around) => Value {
  const kept = new Kept<Value>();
  return (text, around) => {
    const key = keyOf(text, around);
    const before = kept.get(key);
    return before === undefined ? kept.keep(key, of(text, around)) : before;
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
