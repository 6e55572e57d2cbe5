import { doAsked, type Asked } from './asked';

/**
 * Work on a whole file in a process of its own, so that no page waits for it: what to do comes as JSON on standard
 * input (a secret never stands among the arguments), what came of it goes as JSON to standard output.
 */
async function main(): Promise<void> {
  let text = '';
  for await (const piece of process.stdin) text += String(piece);
  console.log(JSON.stringify(await doAsked(JSON.parse(text) as Asked)));
}

void main();
