import os from 'node:os';
import type { Address } from '../guard/lender';

/** The addresses of this computer that are not its own alone: IPv4, which a person can type. */
export const addressesHere = (): Address[] =>
  Object.entries(os.networkInterfaces()).flatMap(([name, all]) =>
    (all ?? []).flatMap(({ address, family, internal }) => (family === 'IPv4' && !internal ? [{ address, name }] : [])),
  );
