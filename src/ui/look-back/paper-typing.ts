import { OUTCOMES } from '@/core/answers/outcome';
import type { TypedMarks } from '@/core/sessions/paper';
import { sure } from '@/core/sure';

/** Where a box is: its round, its line and its place in the line. */
interface Box {
  readonly round: number;
  readonly row: number;
  readonly at: number;
}

/** A mark for each box in reading order, a space where there is none; and the box that is next. */
export interface Typing {
  readonly boxes: readonly Box[];
  readonly marks: readonly string[];
  readonly at: number;
}

/** How many boxes each line of each round has. */
type Widths = readonly (readonly number[])[];

const EMPTY = ' ';
/** A key for each outcome, the same as in Play. */
export const MARK_KEYS: readonly string[] = OUTCOMES.map((_, i) => String(i + 1));

/**
 * Begins with what was typed before; with nothing, where the paper has other boxes now: a mark may never slide into the
 * line of another child.
 * @example typingOf([[2]], '1 ').marks // ['1', ' ']
 */
export function typingOf(widths: Widths, before = ''): Typing {
  const boxes = widths.flatMap((rows, round) =>
    rows.flatMap((width, row) => Array.from({ length: width }, (_, at) => ({ round, row, at }))),
  );
  const kept = before.length === boxes.length ? before : '';
  const marks = boxes.map((_, i) => (MARK_KEYS.includes(kept[i] ?? EMPTY) ? (kept[i] ?? EMPTY) : EMPTY));
  return { boxes, marks, at: 0 };
}

/** All that is typed in one text, to be kept on the device. */
export const asText = ({ marks }: Typing): string => marks.join('');

/** The same line by line, as the server takes it. */
export function asLines({ boxes, marks }: Typing, widths: Widths): TypedMarks {
  const lines = widths.map((rows) => rows.map(() => ''));
  boxes.forEach(({ round, row }, i) => {
    const line = sure(lines[round]);
    line[row] = `${line[row] ?? ''}${marks[i] ?? EMPTY}`;
  });
  return lines;
}

export const markedIn = ({ marks }: Typing): number => marks.filter((m) => m !== EMPTY).length;

const within = (i: number, { boxes }: Typing): number => Math.min(Math.max(0, i), boxes.length - 1);
const moveTo = (typing: Typing, at: number): Typing => ({ ...typing, at: within(at, typing) });
const put = (typing: Typing, mark: string): Typing => ({ ...typing, marks: typing.marks.with(typing.at, mark) });

/** A mark in the box that is next, and on to the one after it. */
export const mark = (typing: Typing, key: string): Typing => moveTo(put(typing, key), typing.at + 1);

/** The box above or below, in whatever round that is; where its line is shorter, the last of the line. */
function inLine(typing: Typing, by: 1 | -1): Typing {
  const here = sure(typing.boxes[typing.at]);
  const lines = [...new Set(typing.boxes.map((b) => `${b.round} ${b.row}`))];
  const line = lines[lines.indexOf(`${here.round} ${here.row}`) + by];
  if (line === undefined) return typing;
  const there = typing.boxes.flatMap((b, i) => (`${b.round} ${b.row}` === line && b.at <= here.at ? [i] : []));
  return moveTo(typing, sure(there.at(-1)));
}

/** The first box of the next line. */
function nextLine(typing: Typing): Typing {
  const here = sure(typing.boxes[typing.at]);
  const next = typing.boxes.findIndex((b, i) => i > typing.at && (b.row !== here.row || b.round !== here.round));
  return next < 0 ? typing : moveTo(typing, next);
}

/** Takes back the mark here; where there is none, the one before. */
function takeBack(typing: Typing): Typing {
  if (typing.marks[typing.at] !== EMPTY) return put(typing, EMPTY);
  return put(moveTo(typing, typing.at - 1), EMPTY);
}

const KEYS: Readonly<Record<string, (typing: Typing) => Typing>> = {
  ...Object.fromEntries(MARK_KEYS.map((key) => [key, (typing: Typing) => mark(typing, key)])),
  ' ': (typing) => moveTo(typing, typing.at + 1),
  ArrowRight: (typing) => moveTo(typing, typing.at + 1),
  ArrowLeft: (typing) => moveTo(typing, typing.at - 1),
  ArrowDown: (typing) => inLine(typing, 1),
  ArrowUp: (typing) => inLine(typing, -1),
  Enter: nextLine,
  Backspace: takeBack,
  Delete: (typing) => put(typing, EMPTY),
};

/**
 * What is typed after a key; null for a key that means nothing here.
 * @example press(typing, '1')?.at // 1
 */
export const press = (typing: Typing, key: string): Typing | null =>
  (Object.hasOwn(KEYS, key) ? KEYS[key]?.(typing) : null) ?? null;

/** Goes to a box that was tapped. */
export const goToBox = moveTo;
