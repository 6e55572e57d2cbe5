import Papa from 'papaparse';
import { z } from 'zod';
import { explain, nameSchema } from './schemas';

const NO_NAMES = 'There are no names in this list yet.';

const tooManyChildren = (rows: number) => `A class list can have up to ${rows} children at a time.`;

const ownNumberTooLong = (letters: number) => `A child’s own number can have ${letters} letters.`;

/** What a column of a class list is taken for. */
type ClassColumn = 'name' | 'group' | 'ownId';

/** A child of a class list, as it would be taken. */
export interface ClassRow {
  /** The line in the list, from 1. */
  readonly line: number;
  readonly name: string;
  /** The name of the group; empty where the list says none. */
  readonly group: string;
  /** The number the setting knows the child by; empty where there is none. */
  readonly ownId: string;
  /** Why the line cannot be taken; null where it can. */
  readonly fault: string | null;
}
export interface ClassList {
  readonly rows: readonly ClassRow[];
  /** The columns as they are headed, with what each is taken for; null for what is seen and not taken. */
  readonly columns: readonly { readonly name: string; readonly taken: ClassColumn | null }[];
  /** Why nothing can be read; null where something can. */
  readonly fault: string | null;
}

/** Words that head a column, in small letters without spaces or signs. Common practice, no source. */
const HEADS: Readonly<Record<ClassColumn, readonly string[]>> = {
  name: ['name', 'firstname', 'forename', 'givenname', 'child', 'preferredname', 'pupil'],
  group: ['group', 'class', 'room'],
  ownId: ['id', 'ownid', 'number', 'no', 'ref', 'reference', 'pupilid', 'childid'],
};
const LIMITS = { characters: 200_000, rows: 200, ownId: 40 } as const;

const headOf = (text: string): ClassColumn | null => {
  const plain = text.toLocaleLowerCase().replace(/[^\p{L}]/gu, '');
  return (Object.keys(HEADS) as ClassColumn[]).find((column) => HEADS[column].includes(plain)) ?? null;
};

/** Columns by their heads; each is taken for one thing once. Without heads, the first column is the name. */
function classListColumns(first: readonly string[]): { columns: ClassList['columns']; headed: boolean } {
  const found = first.map(headOf);
  if (!found.includes('name'))
    return { headed: false, columns: first.map((_, i) => ({ name: `Column ${i + 1}`, taken: i ? null : 'name' })) };
  return {
    headed: true,
    columns: first.map((name, i) => ({
      name: name.trim(),
      taken: found.indexOf(found[i] ?? null) === i ? (found[i] ?? null) : null,
    })),
  };
}

const NOTHING: Pick<ClassList, 'rows' | 'columns'> = { rows: [], columns: [] };

/**
 * Reads a class list, pasted or from a file: columns apart by commas, semicolons or tabs, or names on lines. First
 * name, group and an own number are taken; every other column, such as dates of birth, is named and left alone.
 * @example readClassList('First name,Born\nOttilie,2022-04-01').columns[1]?.taken // null
 */
export function readClassList(text: string): ClassList {
  if (text.length > LIMITS.characters) return { ...NOTHING, fault: 'That’s too long for a class list.' };
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const [first] = data;
  if (!first || !text.trim()) return { ...NOTHING, fault: NO_NAMES };
  const { columns, headed } = classListColumns(first);
  const body = headed ? data.slice(1) : data;
  if (body.length > LIMITS.rows) return { ...NOTHING, fault: tooManyChildren(LIMITS.rows) };
  const at = (column: ClassColumn): number => columns.findIndex((c) => c.taken === column);
  const [name, group, ownId] = [at('name'), at('group'), at('ownId')];
  const rows = body.map((cells, i): ClassRow => {
    const row = {
      line: i + (headed ? 2 : 1),
      name: (cells[name] ?? '').trim(),
      group: (cells[group] ?? '').trim(),
      ownId: (cells[ownId] ?? '').trim(),
    };
    return { ...row, fault: faultIn(row) };
  });
  return { rows, columns, fault: rows.length ? null : NO_NAMES };
}

function faultIn({ name, group, ownId }: Pick<ClassRow, 'name' | 'group' | 'ownId'>): string | null {
  const read = nameSchema.safeParse(name);
  if (!read.success) return explain(read.error);
  if (group && !nameSchema.safeParse(group).success) return 'The name of the group can’t be used.';
  return ownId.length > LIMITS.ownId ? ownNumberTooLong(LIMITS.ownId) : null;
}

/** The lines of a class list that somebody wants to be taken. */
export const classRowsSchema = z
  .array(
    z.strictObject({
      name: nameSchema,
      group: z.union([z.literal(''), nameSchema]),
      ownId: z.string().trim().max(LIMITS.ownId, ownNumberTooLong(LIMITS.ownId)),
    }),
  )
  .min(1, 'Choose at least one line.')
  .max(LIMITS.rows, tooManyChildren(LIMITS.rows));
