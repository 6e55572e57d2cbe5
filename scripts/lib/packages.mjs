// Packages: those that running needs, or all of them, and the database driver, which is compiled once for each version.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { channel, ROOT, say, Stop } from './say.mjs';

const LOCK = path.join(ROOT, 'package-lock.json');
const STAMP = path.join(ROOT, 'node_modules/.stamp');

/** True where a program of this name is found on the way that programs are looked for. */
const has = (command) => {
  const endings = ['', ...(process.env.PATHEXT ?? '').split(';')];
  const folders = (process.env.PATH ?? '').split(path.delimiter).filter(Boolean);
  return folders.some((folder) => endings.some((end) => existsSync(path.join(folder, `${command}${end}`))));
};

/** npm is a script of Node.js’s own: `npm run` says where it is, else it lies beside Node.js. */
function npm() {
  const bin = path.dirname(process.execPath);
  const beside = ['../lib/node_modules', 'node_modules'].map((place) => path.join(bin, place, 'npm/bin/npm-cli.js'));
  const found = [process.env.npm_execpath, ...beside].find((file) => file?.endsWith('.js') && existsSync(file));
  if (!found) throw new Stop('npm was not found beside Node.js. Install Node.js with npm, then start again.');
  return found;
}

const DRIVER = 'build/Release/node_sqlite3.node';

/** The compiled driver of this version, kept for this Node.js and this kind of machine. */
function keptDriver() {
  const { version } = JSON.parse(readFileSync(LOCK, 'utf8')).packages['node_modules/sqlite3'];
  const name = `sqlite3-${version}-${process.versions.modules}-${process.platform}-${process.arch}`;
  return { version, folder: path.join(ROOT, '.driver', name), file: path.join(ROOT, '.driver', `${name}.node`) };
}

/** Compiles the driver in a folder of its own, beside whatever else goes on; rejects with a Stop where it cannot. */
function compiled() {
  const { version, folder, file } = keptDriver();
  if (existsSync(file)) return Promise.resolve();
  // Windows has build tools of its own, which the compiling finds by itself.
  const missing = process.platform === 'win32' ? [] : ['python3', 'make', 'g++'].filter((tool) => !has(tool));
  if (missing.length) {
    throw new Stop(
      `The database driver is compiled on this machine, and ${missing.join(', ')} ` +
        `${missing.length > 1 ? 'are' : 'is'} missing.\nOn Debian or Ubuntu: apt-get install python3 make ` +
        'g++\nThen start again.',
    );
  }
  mkdirSync(folder, { recursive: true });
  const wanted = { private: true, dependencies: { sqlite3: version }, allowScripts: { sqlite3: true } };
  writeFileSync(path.join(folder, 'package.json'), JSON.stringify(wanted));
  const args = [npm(), 'install', '--no-audit', '--no-fund', '--no-package-lock'];
  const env = { ...process.env, npm_config_build_from_source: 'true' };
  const child = spawn(process.execPath, args, { cwd: folder, stdio: ['ignore', 'pipe', 'pipe'], env });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (said += part));
  return new Promise((resolve, reject) => {
    child.on('error', reject);
    child.on('exit', () => {
      const made = path.join(folder, 'node_modules/sqlite3', DRIVER);
      if (!existsSync(made)) return reject(new Stop(`The database driver could not be compiled.\n${said.trim()}`));
      copyFileSync(made, file);
      rmSync(folder, { recursive: true, force: true });
      resolve();
    });
  });
}

/** What is installed: nothing, what running needs, or all. */
function installed() {
  const wanted = createHash('sha256').update(readFileSync(LOCK)).digest('hex');
  const [hash, all] = existsSync(STAMP) ? readFileSync(STAMP, 'utf8').split(' ') : [];
  const made = ['.package-lock.json', 'next/dist/bin/next', `sqlite3/${DRIVER}`];
  const there = made.every((file) => existsSync(path.join(ROOT, 'node_modules', file)));
  return { wanted, fits: there && hash === `${wanted}-${process.versions.modules}`, all: all === 'all' };
}

/** Puts the compiled driver among the packages, tries it, and notes what is installed. */
async function putDriver(driver, note) {
  await driver;
  const to = path.join(ROOT, 'node_modules/sqlite3', DRIVER);
  mkdirSync(path.dirname(to), { recursive: true });
  copyFileSync(keptDriver().file, to);
  const works = spawnSync(process.execPath, ['-e', "require('sqlite3')"], { cwd: ROOT }).status === 0;
  if (!works) {
    rmSync(keptDriver().file, { force: true });
    throw new Stop('The database driver does not fit this Node.js. Start again, and it is compiled anew.');
  }
  writeFileSync(STAMP, note);
}

/**
 * Installs the pinned packages when the lockfile has changed. What a developer has installed is never taken away.
 * @param {{ all: boolean }} which `all`: what checks and tests need too
 * @returns {Promise<{ driver: Promise<void> }>} once the packages are there; `driver`: once it is compiled and in place
 */
export async function ensurePackages({ all }) {
  const now = installed();
  if (now.fits && (now.all || !all)) return { driver: Promise.resolve() };
  const first = !existsSync(keptDriver().file);
  say(
    `Installing packages${first ? ', and compiling the database driver beside them' : ''} ` +
      `(${first ? 'about three minutes, with the build' : 'half a minute'}) …`,
  );
  const compiling = compiled();
  // A fault in it is heard below.
  compiling.catch(() => undefined);
  // A developer keeps what is there, whatever is asked for.
  const omit = all || now.all ? ['--include=dev'] : ['--omit=dev'];
  rmSync(STAMP, { force: true });
  const args = [npm(), 'ci', ...omit, '--ignore-scripts', '--no-audit', '--no-fund'];
  const child = spawn(process.execPath, args, { cwd: ROOT, stdio: ['inherit', channel.out, 'inherit'] });
  const status = await new Promise((resolve, reject) => {
    child.on('error', reject);
    child.on('exit', resolve);
  });
  if (status !== 0)
    throw new Stop('The packages could not be installed; npm says why above. Is the package registry within reach?');
  const kept = all || now.all ? 'all' : 'running';
  const driver = putDriver(compiling, `${now.wanted}-${process.versions.modules} ${kept}`);
  driver.catch(() => undefined);
  return { driver };
}
