import { backUp, CopyFault, type Made } from './copy';
import { SealFault, unseal } from './seal';

/** Work on a whole file. */
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

/** What came of it: why it was not done, where it was not. */
export interface WorkDone {
  readonly made?: Made;
  readonly why?: string;
  readonly message?: string;
}

/** Does what is asked of a whole file; it never throws. Example: `{ act: 'open', … }` → `{}`. */
export async function doAsked(asked: Asked): Promise<WorkDone> {
  try {
    if (asked.act === 'back-up') return { made: await backUp(asked) };
    await unseal(asked.from, asked.to, asked.identity);
    return {};
  } catch (error) {
    const why = error instanceof CopyFault || error instanceof SealFault ? error.why : 'other';
    return { why, message: String(error) };
  }
}
