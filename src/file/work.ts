import { backUp, CopyFault } from './copy';
import { SealFault, unseal } from './seal';

/**
 * Work on a whole file in a process of its own, so that no page waits for it: what to do comes as JSON on standard
 * input (a secret never stands among the arguments), what came of it goes as JSON to standard output.
 */
export type Asked = BackUp | Open;

interface BackUp {
  readonly act: 'back-up';
  readonly file: string;
  readonly folder: string;
  readonly recipient: string;
  readonly at: number;
}

interface Open {
  readonly act: 'open';
  readonly from: string;
  readonly to: string;
  readonly identity: string;
}

async function done(asked: Asked): Promise<object> {
  if (asked.act === 'back-up') return { made: await backUp(asked) };
  await unseal(asked.from, asked.to, asked.identity);
  return {};
}

async function main(): Promise<void> {
  let text = '';
  for await (const piece of process.stdin) text += String(piece);
  try {
    console.log(JSON.stringify(await done(JSON.parse(text) as Asked)));
  } catch (error) {
    const why = error instanceof CopyFault || error instanceof SealFault ? error.why : 'other';
    console.log(JSON.stringify({ why, message: error instanceof Error ? error.message : String(error) }));
  }
}

void main();
