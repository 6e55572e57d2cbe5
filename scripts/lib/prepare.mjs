// Makes a fresh machine ready with nothing but Node.js: packages, then the build. Built-ins only.
import { spawnSync } from 'node:child_process';
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
import { fileURLToPath } from 'node:url';
import { SERVER, writeFront } from './front.mjs';
import { writeOffline } from './offline.mjs';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** A fault a person can put right: its message is all they see. */
export class Stop extends Error {}

/** Where progress is told: standard output, or 2 for standard error where the output is a file to be read. */
export const channel = { out: 'inherit' };

export const say = (text) => (channel.out === 2 ? console.error : console.log)(`· ${text}`);

/** Runs a script and turns a Stop into its sentence. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    console.error(`\n${error.message}\n`);
    process.exit(1);
  }
}

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

const run = (command, args, env = {}) => {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['inherit', channel.out, 'inherit'],
    env: { ...process.env, ...env },
  });
  if (error) throw error;
  return status === 0;
};

/** True where a program of this name is found on the way that programs are looked for. */
const has = (command) => {
  const endings = ['', ...(process.env.PATHEXT ?? '').split(';')];
  const folders = (process.env.PATH ?? '').split(path.delimiter).filter(Boolean);
  return folders.some((folder) => endings.some((end) => existsSync(path.join(folder, `${command}${end}`))));
};

/** npm is a script of Node.js’s own: `npm run` says where it is, else it lies beside Node.js. */
const npm = () => {
  const beside = [
    path.join(path.dirname(process.execPath), '../lib/node_modules/npm/bin/npm-cli.js'),
    path.join(path.dirname(process.execPath), 'node_modules/npm/bin/npm-cli.js'),
  ];
  return [process.env.npm_execpath, ...beside].find((file) => file?.endsWith('.js') && existsSync(file));
};

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Bouncy Echo needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

/** Signs of a whole installation: the first and the last thing that it makes, and the compiled driver. */
const PACKAGES_MADE = [
  'node_modules/.package-lock.json',
  'node_modules/next/dist/bin/next',
  'node_modules/vitest/vitest.mjs',
  'node_modules/sqlite3/build/Release/node_sqlite3.node',
];

/** Installs the pinned packages when the lockfile has changed. */
export async function ensurePackages() {
  checkNode();
  const lock = path.join(ROOT, 'package-lock.json');
  await stamped(
    path.join(ROOT, 'node_modules/.stamp'),
    hashOf([lock]) + process.versions.modules,
    PACKAGES_MADE,
    () => {
      // Windows has build tools of its own, which the compiling finds by itself.
      const missing = process.platform === 'win32' ? [] : ['python3', 'make', 'g++'].filter((tool) => !has(tool));
      if (missing.length) {
        throw new Stop(
          `The database driver is compiled on this machine, and ${missing.join(', ')} ` +
            `${missing.length > 1 ? 'are' : 'is'} missing.\nOn Debian or Ubuntu: apt-get install python3 make ` +
            'g++\nThen start again.',
        );
      }
      say('Installing packages (the database driver is compiled: about two minutes) …');
      const installer = npm();
      if (!installer) throw new Stop('npm was not found beside Node.js. Install Node.js with npm, then start again.');
      const args = [installer, 'ci', '--include=dev', '--no-audit', '--no-fund'];
      if (!run(process.execPath, args, { npm_config_build_from_source: 'true' })) {
        throw new Stop(
          'The packages could not be installed; npm says why above. Is the package registry within reach?',
        );
      }
    },
  );
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
      if (!run(process.execPath, ['node_modules/next/dist/bin/next', 'build'], { NEXT_TELEMETRY_DISABLED: '1' })) {
        throw new Stop('The build did not go through; the reason stands above.');
      }
      writeOffline(ROOT);
      await writeFront(ROOT);
      if (!run(process.execPath, ['scripts/lib/pools.mjs']))
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
