import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { backUp } from '../../file/copy';
import type { Made } from '../../file/copy';
import { unseal } from '../../file/seal';
import type { Asked } from '../../file/work';

/** What came of work on a whole file: why it was not done, where it was not. */
interface Came {
  readonly made?: Made;
  readonly why?: string;
  readonly message?: string;
}

/** Where the build keeps what runs outside the framework. */
const PROGRAM = path.join(/* turbopackIgnore: true */ process.cwd(), '.next', 'plain', 'file', 'work.js');

/** A fault of work on a whole file. */
export class WorkFault extends Error {
  constructor(readonly why: string) {
    super(why);
  }
}

/** In a process of its own, so that no page waits; here where no build stands, as in tests. */
async function came(asked: Asked): Promise<Came> {
  if (!existsSync(PROGRAM)) {
    try {
      if (asked.act === 'back-up') return { made: await backUp(asked) };
      await unseal(asked.from, asked.to, asked.identity);
      return {};
    } catch (error) {
      return { why: (error as { why?: string }).why ?? 'other', message: String(error) };
    }
  }
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [PROGRAM], { stdio: ['pipe', 'pipe', 'inherit'] });
    let text = '';
    child.stdout.on('data', (piece) => (text += String(piece)));
    child.on('error', reject);
    child.on('close', () => resolve(text ? (JSON.parse(text) as Came) : { why: 'other', message: 'It was stopped.' }));
    child.stdin.end(JSON.stringify(asked));
  });
}

/** Does work on a whole file. Throws a WorkFault that says why not. */
export async function workOnFile(asked: Asked): Promise<Came> {
  const result = await came(asked);
  if (!result.why) return result;
  if (result.why === 'other') console.error(result.message);
  throw new WorkFault(result.why);
}
