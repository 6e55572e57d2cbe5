import { explain, nameSchema } from './schemas';

export interface NamesRead {
  readonly names: readonly string[];
  /** What could not be taken, each with its line number and why; nothing is dropped without a word. */
  readonly problems: readonly { readonly line: number; readonly text: string; readonly why: string }[];
  /** Taken, but alike: the adult may want to tell them apart. */
  readonly doubles: readonly string[];
}

/**
 * Reads names that stand on lines, or with commas, semicolons or tabs between them. What is blank is passed over. A
 * name that is here already is taken and pointed out.
 * @example readNames('Ottilie, Kofi\nWren', []).names // ['Ottilie', 'Kofi', 'Wren']
 */
export function readNames(text: string, existing: readonly string[]): NamesRead {
  const names: string[] = [];
  const problems: { line: number; text: string; why: string }[] = [];
  const doubles: string[] = [];
  const known = new Set(existing.map((n) => n.toLocaleLowerCase()));
  const typed = text.split(/\r?\n/u).flatMap((line, index) => line.split(/[,;\t]/u).map((raw) => ({ raw, index })));
  typed.forEach(({ raw, index }) => {
    if (!raw.trim()) return;
    const read = nameSchema.safeParse(raw);
    if (!read.success) {
      problems.push({ line: index + 1, text: raw, why: explain(read.error) });
      return;
    }
    if (known.has(read.data.toLocaleLowerCase())) doubles.push(read.data);
    known.add(read.data.toLocaleLowerCase());
    names.push(read.data);
  });
  return { names, problems, doubles };
}
