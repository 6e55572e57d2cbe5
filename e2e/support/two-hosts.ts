import { spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import tls from 'node:tls';
import type { Browser } from 'playwright-core';
import { chromiumPath } from '../../scripts/lib/browser.mjs';
import { getPackage } from '../../scripts/lib/debian.mjs';
import { browserBy } from './app';

/**
 * Another host beside this one, with a wire between them: a network namespace of Linux, made for the test and gone with
 * it. What runs there reaches this computer by the wire alone.
 */
export interface OtherHost {
  /** This computer's address on the wire. */
  readonly address: string;
  /** Pulls the wire out, or puts it back. */
  wire(up: boolean): void;
  /** A browser on the other host that takes this certificate, kept in its own store as a person would have it. */
  browser(url: string): Promise<Browser>;
  /** Runs a script of Node.js there, with this on its standard input; what it prints. */
  run(script: string, input: string): string;
  leave(): void;
}

/** Runs a program; throws with what it says where it fails. */
function must(...[command = '', ...args]: readonly string[]): string {
  const { status, stdout, stderr, error } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stderr || String(error)}`);
  return stdout;
}

const has = (command: string): boolean => !spawnSync(command, ['-V']).error;

/** The certificate that a server shows, as PEM. */
const shownBy = (url: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const { hostname, port } = new URL(url);
    const socket = tls.connect({ host: hostname, port: Number(port), rejectUnauthorized: false }, () => {
      const lines =
        socket
          .getPeerCertificate()
          .raw.toString('base64')
          .match(/.{1,64}/g) ?? [];
      socket.end();
      resolve(`-----BEGIN CERTIFICATE-----\n${lines.join('\n')}\n-----END CERTIFICATE-----\n`);
    });
    socket.on('error', reject);
  });

/** Makes the other host. Throws where this system lets nobody make one: a test that cannot be run has failed. */
export function makeOtherHost(): OtherHost {
  if (!has('ip')) getPackage('iproute2');
  if (!has('certutil')) getPackage('libnss3-tools');
  // Names of interfaces have fifteen letters at most.
  const name = `lend${process.pid % 100_000}`;
  const [here, there] = [`${name}h`, `${name}t`];
  const net = 1 + (process.pid % 250);
  const address = `10.77.${net}.1`;
  must('ip', 'netns', 'add', name);
  must('ip', 'link', 'add', here, 'type', 'veth', 'peer', 'name', there, 'netns', name);
  must('ip', 'addr', 'add', `${address}/24`, 'dev', here);
  must('ip', 'link', 'set', here, 'up');
  must('ip', '-n', name, 'addr', 'add', `10.77.${net}.2/24`, 'dev', there);
  must('ip', '-n', name, 'link', 'set', 'lo', 'up');
  must('ip', '-n', name, 'link', 'set', there, 'up');
  return {
    address,
    wire: (up) => void must('ip', '-n', name, 'link', 'set', there, up ? 'up' : 'down'),
    browser: async (url) => {
      const home = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-tablet-'));
      const store = path.join(home, '.pki', 'nssdb');
      mkdirSync(store, { recursive: true });
      writeFileSync(path.join(home, 'shown.pem'), await shownBy(url));
      must('certutil', '-d', `sql:${store}`, '-N', '--empty-password');
      must('certutil', '-d', `sql:${store}`, '-A', '-t', 'P,,', '-n', 'lent', '-i', path.join(home, 'shown.pem'));
      const program = path.join(home, 'browser');
      writeFileSync(
        program,
        `#!/bin/sh\nHOME='${home}' exec ip netns exec ${name} '${chromiumPath() ?? 'chromium'}' "$@"\n`,
      );
      chmodSync(program, 0o755);
      return browserBy(program);
    },
    run: (script, input) => {
      const done = spawnSync('ip', ['netns', 'exec', name, process.execPath, script], {
        input,
        encoding: 'utf8',
        maxBuffer: 64 * 1024 * 1024,
      });
      if (done.status !== 0) throw new Error(done.stderr);
      return done.stdout;
    },
    leave: () => {
      spawnSync('ip', ['netns', 'del', name]);
      spawnSync('ip', ['link', 'del', here]);
    },
  };
}
