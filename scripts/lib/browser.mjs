// Where the browser of the tests and of the pictures is, and how it gets there.
import { existsSync } from 'node:fs';
import { getPackage } from './debian.mjs';

/** Debian's Chromium: built without windows, which takes a quarter less time, or the whole of it. */
const BUILDS = [
  { name: 'chromium-headless-shell', at: '/usr/bin/chromium-headless-shell' },
  { name: 'chromium', at: '/usr/bin/chromium' },
];

const there = () => BUILDS.find(({ at }) => existsSync(at))?.at;

/** The browser to use: the one that is named, or the first of Debian's that is there; undefined where there is none. */
export const chromiumPath = () => process.env.CHROMIUM ?? there();

/**
 * Sees to it that there is a browser, from Debian's packages: the light one where it can be had.
 * @param say tells what is being done
 * @returns false where none could be got
 */
export function getChromium(say) {
  if (process.env.CHROMIUM || existsSync(BUILDS[0].at)) return true;
  say('Installing headless Chromium from Debian’s packages …');
  BUILDS.some(({ name, at }) => existsSync(at) || getPackage(name));
  return there() !== undefined;
}
