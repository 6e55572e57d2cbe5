// Makes the server that stands before the framework's plain JavaScript, once for each build.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** Rooms that it is made of. */
const ROOMS = ['front', 'guard'];

/** The server of a build, from the project's folder. */
export const SERVER = path.join('.next', 'front', 'front', 'server.js');

/** @param {string} root the project's folder; the build must stand in it */
export async function writeFront(root) {
  const { default: ts } = await import('typescript');
  const compilerOptions = {
    module: ts.ModuleKind.CommonJS,
    target: ts.ScriptTarget.ES2022,
    esModuleInterop: true,
  };
  for (const room of ROOMS) {
    const to = path.join(root, '.next/front', room);
    mkdirSync(to, { recursive: true });
    for (const name of readdirSync(path.join(root, 'src', room))) {
      if (!name.endsWith('.ts') || name.includes('.test.')) continue;
      const source = readFileSync(path.join(root, 'src', room, name), 'utf8');
      const { outputText } = ts.transpileModule(source, { compilerOptions, fileName: name });
      writeFileSync(path.join(to, name.replace(/\.ts$/, '.js')), outputText);
    }
  }
  writeFileSync(path.join(root, '.next/front/package.json'), '{"type":"commonjs"}\n');
}
