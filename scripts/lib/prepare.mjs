// Makes a fresh machine ready with nothing but Node.js: packages, then the build. Built-ins only.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { SERVER, writePlain } from './front.mjs';
import { writeOffline } from './offline.mjs';
import { ensurePackages as install } from './packages.mjs';
import { channel, main, ROOT, say, Stop } from './say.mjs';

export { main, ROOT, say, Stop };

const hashOf = (files) => {
  const hash = createHash('sha256');
  for (const file of files) hash.update(path.relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
};

/** Lies beside sources and is made by the build. */
const MADE_BY_BUILD = path.join('public', 'sw.js');

function filesUnder(place) {
  const full = path.join(ROOT, place);
  if (!existsSync(full)) return [];
  if (statSync(full).isFile()) return [full];
  return readdirSync(full, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !entry.name.includes('.test.'))
    .map((entry) => path.join(entry.parentPath, entry.name))
    .filter((file) => !file.endsWith(MADE_BY_BUILD))
    .sort();
}

/** Does the work unless it was done for this hash and what it made is still there. */
async function stamped(stamp, hash, made, work) {
  if (
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === hash &&
    made.every((file) => existsSync(path.join(ROOT, file)))
  )
    return;
  rmSync(stamp, { force: true });
  await work();
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, hash);
}

/** Runs a script with Node.js; true where it went well. What goes on beside it is not kept waiting. */
const run = (args, env = {}) =>
  new Promise((resolve, reject) => {
    const stdio = ['inherit', channel.out, 'inherit'];
    const child = spawn(process.execPath, args, { cwd: ROOT, stdio, env: { ...process.env, ...env } });
    child.on('error', reject);
    child.on('exit', (code) => resolve(code === 0));
  });

const NO_DRIVER = new URL('./no-driver.mjs', import.meta.url).href;

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Bouncy Echo needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

/**
 * Packages for running alone, or, where nothing else is said, for developing too.
 * @returns {Promise<{ driver: Promise<void> }>} packages are there; the database driver once `driver` is
 */
export async function packagesThenDriver({ all = true } = {}) {
  checkNode();
  return install({ all });
}

export async function ensurePackages(which) {
  await (
    await packagesThenDriver(which)
  ).driver;
}

/** All that is needed to run: the driver may go on compiling while the application is built. */
export async function ensureAll(which) {
  const { driver } = await packagesThenDriver(which);
  await Promise.all([ensureBuild(), driver]);
}

/** Builds when a source has changed. */
export async function ensureBuild() {
  const sources = [
    'src',
    'lexicon',
    'public',
    'package-lock.json',
    'next.config.ts',
    'postcss.config.mjs',
    'tsconfig.json',
    'scripts/lib/pools.mjs',
    'scripts/lib/front.mjs',
  ].flatMap(filesUnder);
  await stamped(
    path.join(ROOT, '.next/.stamp'),
    hashOf(sources),
    ['.next/BUILD_ID', '.next/pools.json', 'public/sw.js', SERVER],
    async () => {
      say('Building (about half a minute) …');
      const options = `${process.env.NODE_OPTIONS ?? ''} --import ${NO_DRIVER}`.trim();
      const env = { NEXT_TELEMETRY_DISABLED: '1', NODE_OPTIONS: options };
      if (!(await run(['node_modules/next/dist/bin/next', 'build'], env)))
        throw new Stop('The build did not go through; the reason stands above.');
      writeOffline(ROOT);
      await writePlain(ROOT);
      if (!(await run(['scripts/lib/pools.mjs'])))
        throw new Stop('What follows from the word bank could not be worked out.');
    },
  );
}

/** The folder must let us write, and the file must be ours, before anything else is tried. */
export function checkDataFile(file) {
  const folder = path.dirname(file);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const probe = path.join(folder, `.bouncy-echo-${process.pid}`);
    writeFileSync(probe, '');
    rmSync(probe);
  } catch {
    throw new Stop(
      `Bouncy Echo cannot write in the data folder ${folder}.\nGive this user the right to write there, or ` +
        'name another folder: BOUNCY_ECHO_DATA=/some/folder npm start',
    );
  }
  if (!existsSync(file) || statSync(file).size === 0) return;
  if (!statSync(file).isFile() || readFileSync(file).subarray(0, 15).toString() !== 'SQLite format 3') {
    throw new Stop(
      `The file ${file} isn’t a database. We haven’t touched it.\nMove it away, or name another data ` +
        'folder: BOUNCY_ECHO_DATA=/some/folder npm start',
    );
  }
  try {
    accessSync(file, constants.W_OK);
  } catch {
    throw new Stop(`Bouncy Echo may not write to ${file}. Give this user the right to write to it.`);
  }
}
