// Writes the service worker of a build: its id, and every static file the browser may ask for.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const addressOf = (file) => file.split(path.sep).map(encodeURIComponent).join('/');

/** @param {string} root the project's folder; the build must stand in it */
export function writeOffline(root) {
  const folder = path.join(root, '.next/static');
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => `/_next/static/${addressOf(path.relative(folder, path.join(entry.parentPath, entry.name)))}`)
    .sort();
  const build = readFileSync(path.join(root, '.next/BUILD_ID'), 'utf8').trim();
  const source = readFileSync(path.join(root, 'src/workers/sw.js'), 'utf8');
  writeFileSync(
    path.join(root, 'public/sw.js'),
    source.replace('__BUILD__', build).replace("['__FILES__']", JSON.stringify(files)),
  );
}
