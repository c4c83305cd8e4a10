/**
 * The value under a type that the compiler cannot follow it to: the one place for that, so that each use stands out and
 * says why. For a step and what its kind says of it, for a field and its value once the field is a variable, for what a
 * library knows of itself and does not export. What comes from outside goes through a schema instead.
 */
export function takenAs<Known>(value: unknown): Known {
  return value as Known;
}
