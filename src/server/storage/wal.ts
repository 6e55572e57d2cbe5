/**
 * Which file a write-ahead log belongs to. SQLite does not say: an old file put back beside a newer log is given the
 * log's pages, and is then of two times at once. So each log of ours begins with a mark: a page 1 that names itself
 * (`user_version`) and the mark the file had before (`application_id`), both plain numbers in the file's header.
 *
 * Layouts: sqlite.org/fileformat2.html, 1.3 (header of the file) and 4.1 (header and frames of the log).
 */

/** Places in the file's header, in bytes. */
const MARK_AT = 60;
const BEFORE_AT = 68;
const FILE_HEADER = 100;

const WAL_HEADER = 32;
const FRAME_HEADER = 24;
const PAGE_SIZE_AT = 8;
const SALTS_AT = 16;

/** The mark of a file, from its first bytes; 0 where it never had one. */
export const markOf = (header: Buffer): number => (header.length < FILE_HEADER ? 0 : header.readUInt32BE(MARK_AT));

interface Frame {
  readonly page: number;
  readonly commits: boolean;
  /** The first bytes of the page. */
  readonly start: Buffer;
}

/** The frames of a log that are of its latest beginning. */
function* framesIn(wal: Buffer): Generator<Frame> {
  if (wal.length < WAL_HEADER) return;
  const size = wal.readUInt32BE(PAGE_SIZE_AT) || 65_536;
  const salts = wal.subarray(SALTS_AT, SALTS_AT + 8);
  const step = FRAME_HEADER + size;
  for (let at = WAL_HEADER; at + step <= wal.length; at += step) {
    if (!wal.subarray(at + 8, at + 16).equals(salts)) return;
    const from = at + FRAME_HEADER;
    yield {
      page: wal.readUInt32BE(at),
      commits: wal.readUInt32BE(at + 4) > 0,
      start: wal.subarray(from, from + FILE_HEADER),
    };
  }
}

/**
 * True where a log belongs to a file, or has nothing to say.
 * @param header the first 100 bytes of the file, without its log
 * @param wal the whole log
 */
export function belongs(header: Buffer, wal: Buffer): boolean {
  const mark = markOf(header);
  const marks = new Set<number>();
  let commits = false;
  for (const { page, commits: ends, start } of framesIn(wal)) {
    commits ||= ends;
    if (page !== 1) continue;
    if (!marks.size) marks.add(start.readUInt32BE(BEFORE_AT));
    marks.add(markOf(start));
  }
  if (!commits) return true;
  // A log without a mark is of a version that made none, and so must the file be.
  return marks.size ? marks.has(mark) : mark === 0;
}
