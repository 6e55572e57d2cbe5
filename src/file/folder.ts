import { millisecondsInDay } from 'date-fns/constants';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';

/** Copies kept in a folder; older ones go. */
export const KEPT_COPIES = 14;

const NAME = /^bouncy-echo-(\d{4})-(\d\d)-(\d\d)-(\d\d)(\d\d)\.sqlite\.age$/;

/** A backup in a folder. */
export interface Copy {
  readonly name: string;
  /** When it was made, milliseconds since 1970, by its name. */
  readonly at: number;
  readonly bytes: number;
}

const two = (n: number): string => String(n).padStart(2, '0');

/** What a backup of a moment is called. Example: `bouncy-echo-2026-11-30-1705.sqlite.age`. */
export function nameOf(at: Date): string {
  const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return `bouncy-echo-${day}-${two(at.getHours())}${two(at.getMinutes())}.sqlite.age`;
}

/** The backups in a folder, the newest first; none where there is no such folder. */
export function copiesIn(folder: string): Copy[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Copy[] => {
      const [, year, month, day, hour, minute] = NAME.exec(name) ?? [];
      if (!year) return [];
      const at = new Date(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute)).getTime();
      return [{ name, at, bytes: statSync(path.join(folder, name)).size }];
    })
    .sort((a, b) => b.at - a.at);
}

/**
 * Lets the oldest backups of a folder go, those of a clock that was ahead first; never the one just made, and nothing
 * else in the folder.
 * @param made the name of the one just made
 * @param now milliseconds since 1970
 */
export function dropOld(folder: string, made: string, now: number): void {
  const copies = copiesIn(folder).filter(({ name }) => name !== made);
  const [past, ahead] = [
    copies.filter((c) => c.at <= now + millisecondsInDay),
    copies.filter((c) => c.at > now + millisecondsInDay),
  ];
  for (const { name } of [...past, ...ahead].slice(KEPT_COPIES - 1)) rmSync(path.join(folder, name), { force: true });
}

/** Kinds of file systems that are another computer's: NFS, SMB, CIFS, SMB2 (linux/magic.h; Microsoft's for SMB2). */
const SHARED: ReadonlySet<number> = new Set([0x6969, 0x517b, 0xff534d42, 0xfe534d42]);

/** True for a folder that is on another computer. @param type as `statfs` says it */
export const isShared = (type: number): boolean => SHARED.has(type);
