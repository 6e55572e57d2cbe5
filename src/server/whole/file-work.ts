import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { doAsked, type Asked, type WorkDone } from '../../file/asked';

/** Where the build keeps what runs outside the framework. */
const PROGRAM = path.join(/* turbopackIgnore: true */ process.cwd(), '.next', 'plain', 'file', 'work.js');

/** A fault of work on a whole file. */
export class WorkFault extends Error {
  constructor(readonly why: string) {
    super(why);
  }
}

/** In a process of its own, so that no page waits; here where no build stands, as in tests. */
async function apart(asked: Asked): Promise<WorkDone> {
  if (!existsSync(PROGRAM)) return doAsked(asked);
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [PROGRAM], { stdio: ['pipe', 'pipe', 'inherit'] });
    let text = '';
    child.stdout.on('data', (piece) => (text += String(piece)));
    child.on('error', reject);
    child.on('close', () =>
      resolve(text ? (JSON.parse(text) as WorkDone) : { why: 'other', message: 'It was stopped.' }),
    );
    child.stdin.end(JSON.stringify(asked));
  });
}

/** Does work on a whole file. Throws a WorkFault that says why not. */
export async function workOnFile(asked: Asked): Promise<WorkDone> {
  const result = await apart(asked);
  if (!result.why) return result;
  if (result.why === 'other') console.error(result.message);
  throw new WorkFault(result.why);
}
