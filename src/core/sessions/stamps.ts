/**
 * Ids and times of a device whose clock may be wrong, or be put right in mid-session. The server's answers tell how
 * far off it is; no entry ever sorts before one made here earlier, or before one this device has seen (a hybrid
 * logical clock: Kulkarni and others 2014, from memory). Ids are UUID v7 (RFC 9562): the first 48 bits are the
 * milliseconds.
 */
export interface Stamps {
  /** A new id and the time it stands for, from the device's clock now. */
  readonly make: (deviceNow: number) => { readonly id: string; readonly at: number };
  /**
   * Another entry was seen, at this place of the log: nothing made from now on sorts before it. One that is far ahead
   * of the time is of a wrong clock, and is not followed.
   */
  readonly seen: (place: string, deviceNow: number) => void;
  /** The server said what time it is, while the device's clock showed `sentAt` and then `gotAt`. */
  readonly serverSaid: (serverNow: number, sentAt: number, gotAt: number) => void;
  readonly offset: () => number;
}

/** A difference this small is the way of the network, not of a clock. */
const ALIKE_MS = 2_000;
/** A clock further ahead of the time than this is wrong, in milliseconds. */
export const AHEAD_MS = 300_000;

/** Milliseconds in a UUID v7. Example: `timeOf('01900000-0000-7000-8000-000000000001') // 1717986918400`. */
export const timeOf = (id: string): number => Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16);

/**
 * @param offset milliseconds the device's clock is behind the server's, as known from before
 * @param idOf a UUID v7 for so many milliseconds, and the so many-th in them
 */
export function makeStamps(offset: number, idOf: (msecs: number, seq: number) => string): Stamps {
  let behind = offset;
  let last = 0;
  let seq = 0;
  return {
    make: (deviceNow) => {
      const now = Math.max(0, Math.round(deviceNow + behind));
      if (now > last) [last, seq] = [now, 0];
      else seq += 1;
      return { id: idOf(last, seq), at: last };
    },
    seen: (place, deviceNow) => {
      const at = timeOf(place);
      if (at > deviceNow + behind + AHEAD_MS) return;
      // Its place among those of the same millisecond is not known: the next begins after it.
      if (at >= last) [last, seq] = [at + 1, 0];
    },
    serverSaid: (serverNow, sentAt, gotAt) => {
      const next = serverNow - (sentAt + gotAt) / 2;
      behind = Math.abs(next) < ALIKE_MS ? 0 : next;
    },
    offset: () => behind,
  };
}
