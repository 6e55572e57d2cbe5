// Programs of Debian's packages that tests and pictures need: the browser, and those that hold ours against theirs.
import { spawnSync } from 'node:child_process';

const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
/** Another program may be installing just now: it is waited for. */
const TRIES = 5;
const WAIT = 'DPkg::Lock::Timeout=300';

const apt = (...args) => spawnSync('apt-get', ['-o', WAIT, ...args], { stdio: 'ignore', env });

/**
 * Installs one package of Debian's, where this system has them and this user may.
 * @param {string} name the package
 * @returns {boolean} whether it is there now
 * @example getPackage('age')
 */
export function getPackage(name) {
  for (let i = 0; i < TRIES; i += 1) {
    const update = apt('update');
    if (update.error) return false;
    if (apt('install', '-y', '--no-install-recommends', name).status === 0) return true;
    // The lists have a lock that nothing waits for.
    if (update.status === 0) return false;
    spawnSync('sleep', ['5']);
  }
  return false;
}
