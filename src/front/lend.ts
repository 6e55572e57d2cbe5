import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import type { Closed, Lender, OnLoan } from '../guard/lender';
import { Lending } from '../guard/lending';
import { addressesHere } from './addresses';
import { newCertificate } from './lent-certificate';
import { lentServer } from './lent-server';
import { look, watchFrom } from './lent-watch';

const LOOK_MS = 5_000;
/** Every file of the build, and every picture, by its path: what is not on this list is not there. */
function filesOf(root: string): Set<string> {
  const under = (folder: string, at: string): string[] => {
    const full = path.join(root, folder);
    return existsSync(full)
      ? readdirSync(full, { recursive: true, withFileTypes: true })
          .filter((f) => f.isFile())
          .map((f) => `${at}/${path.relative(full, path.join(f.parentPath, f.name)).split(path.sep).join('/')}`)
      : [];
  };
  return new Set([
    ...under(path.join('.next', 'static'), '/_next/static'),
    ...under(path.join('public', 'pictures'), '/pictures'),
    ...under(path.join('public', 'plants'), '/plants'),
    '/icon.svg',
  ]);
}

const listening = (server: Server, address: string, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, address, () => resolve((server.address() as AddressInfo).port));
  });

/** Lends sessions from a build. `home`: the framework’s own address; `usual`: the port for tablets, if it is free. */
export function newLender(home: string, usual: number, root = process.cwd()): Lender {
  let open: { readonly loan: OnLoan; readonly server: Server; readonly timer: NodeJS.Timeout } | null = null;
  let ended: ReturnType<Lender['ended']> = null;

  const close = async (why: Closed): Promise<void> => {
    if (!open) return;
    const { server, timer, loan } = open;
    open = null;
    ended = { session: loan.session, why, at: Date.now() };
    clearInterval(timer);
    const left = new Promise((resolve) => server.close(resolve));
    server.closeAllConnections();
    await left;
  };

  /** Looks again and again whether it may go on. */
  const watch = (since: number, address: string): NodeJS.Timeout => {
    let watched = watchFrom(since, address, addressesHere());
    const timer = setInterval(() => {
      const came = look(watched, Date.now(), addressesHere());
      if (typeof came === 'string') void close(came);
      else watched = came;
    }, LOOK_MS);
    timer.unref();
    return timer;
  };

  return {
    async open({ session, page, address, secure, work }) {
      await close('stopped');
      const since = Date.now();
      const lending = new Lending();
      const certificate = secure ? await newCertificate(address, since) : null;
      const files = filesOf(root);
      const host = address;
      const server = lentServer({ session, lending, work, certificate, host, page, files, home, now: Date.now });
      // The same port each time, where it is free: what waits on a tablet is kept by its address.
      const port = await listening(server, address, usual).catch(() => listening(server, address, 0));
      const url = `${secure ? 'https' : 'http'}://${address}:${port}`;
      const loan = { session, url, fingerprint: certificate?.fingerprint ?? null, since, lending };
      open = { loan, server, timer: watch(since, address) };
      ended = null;
      return loan;
    },
    close,
    now: () => open?.loan ?? null,
    ended: () => ended,
    addresses: addressesHere,
  };
}
