// How scripts speak to whoever runs them. Built-ins only.
import path from 'node:path';
import { fileURLToPath } from 'node:url';

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
