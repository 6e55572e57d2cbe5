import { backupsRow } from './backups';

/** Remembered for a moment: every mark that comes asks for it, and the server's parts are built apart. */
const REMEMBERED_MS = 2_000;
let last = { value: '', until: 0 };

/** Which life of the file this is; empty where no backup was ever put back. */
export async function epoch(): Promise<string> {
  if (Date.now() > last.until) last = { value: (await backupsRow()).epoch ?? '', until: Date.now() + REMEMBERED_MS };
  return last.value;
}

/** A backup was put back: the next who asks is told so. */
export const forgetEpoch = (): void => {
  last = { value: '', until: 0 };
};
