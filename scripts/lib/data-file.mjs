// Where the data of a setting lives, for scripts that work on the file as a whole.
import path from 'node:path';
import { ROOT } from './say.mjs';

/** The data file, as `npm start` finds it. */
export const dataFile = () =>
  path.resolve(
    ROOT,
    process.env.BOUNCY_ECHO_DB ?? path.join(process.env.BOUNCY_ECHO_DATA ?? 'data', 'bouncy-echo.sqlite'),
  );
