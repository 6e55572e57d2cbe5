'use client';

import dynamic from 'next/dynamic';
import { format } from 'date-fns';
import { useEffect, useState, type ReactNode } from 'react';
import type { TabletShown } from '@/server/lending/lend';
import type { PlaySession } from '@/server/sessions/play-session';
import { saidOf } from '@/core/answers/said';
import { questionOf } from '@/core/sessions/question';
import { Dialog } from '../../kit/dialog';
import { AfterDialog } from './after-dialog';
import { DeviceDialog } from './device-dialog';
import { judgeFromTablet, judgeHere } from './judge-typed';
import { KeysDialog } from './keys-dialog';
import { PebblesDialog } from './pebbles-dialog';
import { PeopleDialog } from './people-dialog';
import { arrive, putAside, tick } from '../run/acts';
import type { DialogName } from '../run/run';
import type { PadAnswer } from './sound-pad';
import { SpeaksDialog, ToolsDialog } from './tools-dialog';
import { quietTablets } from '../quiet-tablets';
import { useEnding } from '../use-ending';
import { useNames, useRun, useStore } from '../use-run';

/** The pad of sounds comes with the first answer that is typed, or earlier where there is time. */
export const loadSoundPad = () => import('./sound-pad');
const SoundPad = dynamic(() => loadSoundPad().then((m) => m.SoundPad));

function useClose(): () => void {
  const store = useStore();
  return () => store.show({ dialog: null });
}

function Note() {
  const store = useStore();
  const close = useClose();
  const nameOf = useNames();
  const child = useRun((run) => run.state.childId);
  const note = useRun((run) => run.draft.note);
  return (
    <Dialog
      open
      onOpenChange={close}
      title={`Note about ${nameOf(child)}`}
      description={
        'It’s kept as you type, and saved with the answer. Write what you heard, not what you think of the child.'
      }
    >
      <label className="block">
        <span className="sr-only">Note</span>
        <textarea
          className="field min-h-32"
          maxLength={500}
          autoFocus
          value={note}
          onChange={(e) => store.note({ note: e.target.value })}
        />
      </label>
      <button type="button" className="action mt-4 min-h-16" onClick={close}>
        Done
      </button>
    </Dialog>
  );
}

/** Which word of this item the group is not to hear again. */
function Aside() {
  const store = useStore();
  const close = useClose();
  const turn = useRun((run) => run.state.turn);
  const words = useRun((run) => run.item?.words);
  const group = useRun((run) => run.session.groupName);
  return (
    <Dialog
      open
      onOpenChange={close}
      title={`Which word is not for ${group}?`}
      description="It won’t be offered to this group again. You can bring it back in Settings."
    >
      <ul className="flex flex-wrap gap-2.5">
        {[...new Set((words ?? []).map((w) => w.word))].map((word) => (
          <li key={word}>
            <button
              type="button"
              className="plain min-h-16 font-word text-2xl"
              onClick={() => {
                void store.dispatch(putAside(turn, word));
                close();
              }}
            >
              {word}
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

function Said() {
  const store = useStore();
  const close = useClose();
  const nameOf = useNames();
  const run = useRun((all) => all);
  const { item, hunting, session, state, ownWay, round } = run;
  if (!item) return null;
  const { accent, mixed } = session;
  const otherAccent = ownWay.accent ? round.inAccents[ownWay.accent]?.[item.key] : undefined;
  const take = ({ chunks, word, judgement }: PadAnswer): void => {
    close();
    if (!hunting)
      void store.mark(judgement.outcome, {
        slip: judgement.slip,
        said: saidOf(chunks).slice(0, 200),
        missed: judgement.missed,
      });
    else if (judgement.outcome === 'on-own') void store.dispatch(tick(word, true));
  };
  return (
    <SoundPad
      sessionId={session.id}
      judgeTyped={session.lent ? judgeFromTablet : judgeHere(session.id)}
      round={state.round}
      itemKey={item.key}
      accent={session.accent}
      who={nameOf(state.childId)}
      question={hunting ? null : questionOf(item, { accent, mixed, ownWay, otherAccent })}
      onClose={close}
      onMark={take}
    />
  );
}

function Pause() {
  const close = useClose();
  return (
    <Dialog open onOpenChange={close} title="Paused" description="The clock has stopped. Every answer so far is saved.">
      <button type="button" className="action min-h-24 w-full text-2xl" autoFocus onClick={close}>
        Carry on
      </button>
    </Dialog>
  );
}

/** Who has come while the others play. */
function Late() {
  const store = useStore();
  const close = useClose();
  const nameOf = useNames();
  const late = useRun((run) => run.late);
  return (
    <Dialog open onOpenChange={close} title="Who’s arrived?" description="They join in from here.">
      <ul className="divide-y divide-line">
        {late.map(({ id }) => (
          <li key={id}>
            <button
              type="button"
              className="min-h-16 w-full text-left font-word text-2xl hover:bg-paper"
              onClick={() => {
                void store.dispatch(arrive(id));
                close();
              }}
            >
              {nameOf(id)}
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

const KEPT = 'Everything you’ve marked is saved. You can carry on from Look back within the hour.';
const KEPT_LENT = 'Everything you’ve marked is saved. Look back on it on the computer.';

const clock = (at: number): string => format(at, 'HH:mm');

/** Tablets that may have marks which have not come. */
const notHeard = (quiet: readonly TabletShown[]): string =>
  [
    ...quiet.map(({ colour, heardAt }) => `The ${colour} tablet hasn’t been heard from since ${clock(heardAt)}.`),
    `Any marks still on ${quiet.length === 1 ? 'it' : 'them'} would stay there.`,
  ].join(' ');

function useQuiet({ id, lent }: Pick<PlaySession, 'id' | 'lent'>): readonly TabletShown[] {
  const [quiet, setQuiet] = useState<readonly TabletShown[]>([]);
  useEffect(() => {
    if (!lent) void quietTablets(id).then(setQuiet);
  }, [id, lent]);
  return quiet;
}

/** Finishing with turns left, or while a tablet is not heard, is asked for first. */
function Finish() {
  const close = useClose();
  const end = useEnding();
  const quiet = useQuiet(useRun((run) => run.session));
  const left = useRun((run) => Math.max(0, run.state.planned - run.state.done));
  const kept = useRun((run) => (run.session.lent ? KEPT_LENT : KEPT));
  const turns = left === 1 ? 'There is one turn' : `There are ${left} turns`;
  const what = left ? `${turns} left in this round. ${kept}` : kept;
  return (
    <Dialog open onOpenChange={close} title="Finish now?" description={what}>
      {quiet.length > 0 && <p className="mb-4 border-l-4 border-red py-1 pl-4">{notHeard(quiet)}</p>}
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="action min-h-16"
          autoFocus
          onClick={() => {
            close();
            void end({ asked: true });
          }}
        >
          Finish the session
        </button>
        <button type="button" className="plain min-h-16" onClick={close}>
          Keep playing
        </button>
      </div>
    </Dialog>
  );
}

function Device() {
  const store = useStore();
  const close = useClose();
  const answers = useRun((run) => run.state.answers);
  const team = [...new Set(answers.flatMap((a) => a.by ?? []))];
  const words = useRun((run) => run.playing && !run.check && !run.session.lent && (run.item?.words.length ?? 0) > 0);
  return (
    <DeviceDialog
      team={team}
      onKeys={() => store.show({ dialog: 'keys' })}
      onAside={words ? () => store.show({ dialog: 'aside' }) : undefined}
      onClose={close}
    />
  );
}

const Keys = () => <KeysDialog onClose={useClose()} />;
const Tools = () => <ToolsDialog onClose={useClose()} />;
const Speaks = () => <SpeaksDialog onClose={useClose()} />;
const People = () => <PeopleDialog onClose={useClose()} />;
const Pebbles = () => <PebblesDialog onClose={useClose()} />;
const After = () => <AfterDialog onClose={useClose()} />;

const DIALOGS: Readonly<Record<DialogName, () => ReactNode>> = {
  note: Note,
  aside: Aside,
  said: Said,
  pause: Pause,
  late: Late,
  finish: Finish,
  device: Device,
  keys: Keys,
  tools: Tools,
  speaks: Speaks,
  people: People,
  pebbles: Pebbles,
  after: After,
};

/** The dialog that is open. */
export function Dialogs() {
  const name = useRun((run) => run.view.dialog);
  if (!name) return null;
  const Open = DIALOGS[name];
  return <Open />;
}
