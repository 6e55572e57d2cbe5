// Makes plain JavaScript of what runs outside the framework: the server that stands before it, and the craft that the
// build works with.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** Rooms that it is made of. */
const ROOMS = ['front', 'guard', 'core', 'file'];

/** Where it stands, from the project's folder. */
export const PLAIN = path.join('.next', 'plain');

/** The server of a build, from the project's folder. */
export const SERVER = path.join(PLAIN, 'front', 'server.js');

const isSource = (name) => /(?<!\.d|\.test)\.ts$/.test(name);

/** @param {string} root the project's folder; the build must stand in it */
export async function writePlain(root) {
  const { default: ts } = await import('typescript');
  const compilerOptions = {
    module: ts.ModuleKind.CommonJS,
    target: ts.ScriptTarget.ES2022,
    esModuleInterop: true,
  };
  for (const room of ROOMS) {
    const from = path.join(root, 'src', room);
    for (const name of readdirSync(from, { recursive: true }).filter(isSource)) {
      const to = path.join(root, PLAIN, room, name.replace(/\.ts$/, '.js'));
      const { outputText } = ts.transpileModule(readFileSync(path.join(from, name), 'utf8'), { compilerOptions });
      mkdirSync(path.dirname(to), { recursive: true });
      writeFileSync(to, outputText);
    }
  }
  writeFileSync(path.join(root, PLAIN, 'package.json'), '{"type":"commonjs"}\n');
}
