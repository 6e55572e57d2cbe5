/**
 * Names as they stand on a screen that others can see: as few first letters as tell the children apart, and a number
 * where none do.
 * @example initialsOf(['Wren', 'Kofi', 'Kai']) // ['W', 'Ko', 'Ka']
 */
export function initialsOf(names: readonly string[]): string[] {
  const letters = names.map((name) => [...name]);
  const short = letters.map((mine, i) => {
    const others = letters.filter((_, j) => j !== i).map((o) => o.map((c) => c.toLowerCase()));
    let n = 1;
    while (n < mine.length && others.some((o) => mine.slice(0, n).every((c, k) => c.toLowerCase() === o[k]))) n += 1;
    return mine.slice(0, n).join('').trim();
  });
  const seen = new Map<string, number>();
  return short.map((s) => {
    const key = s.toLowerCase();
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    return times > 1 ? `${s} ${times}` : s;
  });
}

/** The longest name that stands on a small button as it is. */
const BRIEF = 18;

/**
 * A name for a small button: its first word, where it is long, and that cut short where it is long itself.
 * @example brief('Wilhelmina Persephone Montgomery') // 'Wilhelmina'
 */
export function brief(name: string): string {
  if (name.length <= BRIEF) return name;
  const [first = name] = name.split(/\s/);
  return first.length <= BRIEF ? first : `${first.slice(0, BRIEF - 1)}…`;
}
