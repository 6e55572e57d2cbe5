'use client';

import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import type { PlaySession } from '@/server/sessions/play-session';
import { Link } from '../kit/link';
import { ChildrenList } from './children-list';
import { useFit } from './fit';
import { Notices } from './notices';
import { PlayTop } from './play-top';
import { USUAL } from './run/device';
import { createRun } from './run/store';
import { Taps } from './taps';
import { loadViews, Turn } from './turn';
import { RunProvider, useRun } from './use-run';
import { browserMachine, useRunning } from './use-running';

// What is not on the first screen comes after it; at once, so that it is there when the server is not.
const dialogs = () => import('./dialogs');
const Dialogs = dynamic(() => dialogs().then((m) => m.Dialogs));
const roundDone = () => import('./round-done');
const RoundDone = dynamic(() => roundDone().then((m) => m.RoundDone));

/** Fetches dialogs, and views of games that come later, before anybody asks for one. */
function useDialogsAtHand(): void {
  useEffect(() => {
    void Promise.all([dialogs().then((m) => m.loadSoundPad()), loadViews(), roundDone()]).catch(() => undefined);
  }, []);
}

/** The run: what to say, the line that paces it, what is right, and one tap for what the child did. */
export function PlayScreen({ session }: { readonly session: PlaySession }) {
  const [store] = useState(() => createRun({ session, device: USUAL, machine: browserMachine(session.id) }));
  useRunning(store, session);
  return (
    <RunProvider value={store}>
      <PlayFrame />
    </RunProvider>
  );
}

/** Where each view has its place. */
function PlayFrame() {
  const pending = useRun((run) => run.pending);
  const inTurn = useRun((run) => run.item !== undefined && (run.playing || run.modelling));
  const dialog = useRun((run) => run.view.dialog !== null);
  const hand = useRun((run) => run.device.hand);
  const keys = useRun((run) => run.device.keys && run.device.singleKeys);
  const frame = useRef<HTMLDivElement>(null);
  useFit(frame);
  useDialogsAtHand();
  return (
    <div ref={frame} className="playing" data-pending={pending} data-hand={hand} {...(keys ? { 'data-keys': '' } : {})}>
      <PlayTop />
      <Notices />
      <ChildrenList />
      {inTurn ? <Turn /> : <RoundDone />}
      <Taps />
      {dialog && <Dialogs />}
      <noscript>
        <p className="p-6">
          Play needs JavaScript. <Link href="/">Back to Today</Link>
        </p>
      </noscript>
    </div>
  );
}
