import { createHash } from 'node:crypto';
import { appendFileSync, copyFileSync, existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

/**
 * Who was erased, kept apart from the data and beside the backups, so that a backup that is put back does not bring
 * them back: a sum of each child's id, which names nobody. A line says first that somebody is going, then that they
 * are gone: after a crash between the two, the data itself tells.
 */
const listOf = (file: string): string => `${file}-erased`;

/** What the list is called beside backups. */
const BESIDE = 'bouncy-echo-erased.txt';

const sumOf = (id: string): string => createHash('sha256').update(id).digest('hex');

const add = (file: string, ids: readonly string[], mark: string): void => {
  if (ids.length) appendFileSync(listOf(file), ids.map((id) => `${mark} ${sumOf(id)}\n`).join(''), { mode: 0o600 });
};

/** To be said before some children are erased. */
export const goingFrom = (file: string, ids: readonly string[]): void => add(file, ids, 'going');

/** To be said once they are. */
export const goneFrom = (file: string, ids: readonly string[]): void => add(file, ids, 'gone');

const linesOf = (list: string): string[][] =>
  existsSync(list)
    ? readFileSync(list, 'utf8')
        .split('\n')
        .map((line) => line.split(' '))
    : [];

/** Takes over what another list says is gone: the one beside a backup that is put back. */
export function learnFrom(file: string, folder: string): void {
  const known = new Set(linesOf(listOf(file)).map(([, sum]) => sum));
  const more = linesOf(path.join(folder, BESIDE)).flatMap(([mark, sum]) =>
    mark === 'gone' && sum && !known.has(sum) ? [`gone ${sum}\n`] : [],
  );
  if (more.length) appendFileSync(listOf(file), more.join(''), { mode: 0o600 });
}

/** Puts the list beside the backups, so that it outlives this computer. */
export function putBeside(file: string, folder: string): void {
  if (existsSync(listOf(file)) && existsSync(folder)) copyFileSync(listOf(file), path.join(folder, BESIDE));
}

/** Children of those here who are surely erased: their ids. */
export function erasedAmong(file: string, ids: readonly string[]): string[] {
  const gone = new Set(linesOf(listOf(file)).flatMap(([mark, sum]) => (mark === 'gone' && sum ? [sum] : [])));
  return ids.filter((id) => gone.has(sumOf(id)));
}

/** Says of those who were going, and are not here any more, that they are gone. To be done with the live file alone. */
export function settleGoing(file: string, ids: readonly string[]): void {
  const lines = linesOf(listOf(file));
  const gone = new Set(lines.flatMap(([mark, sum]) => (mark === 'gone' ? [sum] : [])));
  const here = new Set(ids.map(sumOf));
  const left = lines.flatMap(([mark, sum]) =>
    mark === 'going' && sum && !gone.has(sum) && !here.has(sum) ? [`gone ${sum}\n`] : [],
  );
  if (left.length) appendFileSync(listOf(file), [...new Set(left)].join(''), { mode: 0o600 });
}
