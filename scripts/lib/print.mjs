// What prints something of the app to standard output, and nothing else there.
import path from 'node:path';
import { parseArgs } from 'node:util';
import { ensurePackages, main, ROOT, Stop } from './prepare.mjs';
import { channel } from './say.mjs';

/**
 * Reads the options of these names, and flags that stand alone, and prints what `make` gives for them. `load` brings in
 * a module of the app, `asked` checks the options with a schema of it; what is wrong is said beside the output.
 */
export async function print(names, make, flags = []) {
  // A reader that has seen enough (head) is no fault.
  process.stdout.on('error', (error) => process.exit(error.code === 'EPIPE' ? 0 : 1));
  channel.out = 2;
  await main(async () => {
    let values;
    try {
      const options = [
        ...names.map((name) => [name, { type: 'string' }]),
        ...flags.map((name) => [name, { type: 'boolean' }]),
      ];
      ({ values } = parseArgs({ options: Object.fromEntries(options) }));
    } catch (error) {
      throw new Stop(error.message);
    }
    await ensurePackages();
    const { runnerImport } = await import('vite');
    const load = async (file) =>
      (await runnerImport(path.join(ROOT, file), { root: ROOT, configFile: false, logLevel: 'error' })).module;
    const asked = (schema) => {
      const request = schema.safeParse(values);
      if (!request.success) throw new Stop(request.error.issues.map((issue) => issue.message).join('\n'));
      return request.data;
    };
    const text = await make(load, asked);
    await new Promise((resolve) => process.stdout.write(text, resolve));
  });
}
