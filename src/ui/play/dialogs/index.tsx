'use client';

import dynamic from 'next/dynamic';
import { saidOf } from '@/core/answers/said';
import { questionOf } from '@/core/sessions/question';
import { Dialog } from '../../kit/dialog';
import { DeviceDialog } from './device-dialog';
import { KeysDialog } from './keys-dialog';
import { PebblesDialog } from './pebbles-dialog';
import { PeopleDialog } from './people-dialog';
import { arrive, putAside, tick } from '../run/acts';
import type { Heard } from './sound-pad';
import { SpeaksDialog, ToolsDialog } from './tools-dialog';
import { useEnding } from '../use-ending';
import { useNames, useRun, useStore } from '../use-run';
import { dialogs as say } from './text';

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
    <Dialog open onOpenChange={close} title={say.noteOn(nameOf(child))} description={say.keptAnswerWrite}>
      <label className="block">
        <span className="sr-only">{say.note}</span>
        <textarea
          className="field min-h-32"
          maxLength={500}
          autoFocus
          value={note}
          onChange={(e) => store.note({ note: e.target.value })}
        />
      </label>
      <button type="button" className="action mt-4 min-h-16" onClick={close}>
        {say.keepTheNote}
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
    <Dialog open onOpenChange={close} title={say.word(group)} description={say.wontOfferedGroup}>
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
  const take = ({ chunks, word, judgement }: Heard): void => {
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
    <Dialog open onOpenChange={close} title={say.paused} description={say.noTimeCounted}>
      <button type="button" className="action min-h-24 w-full text-2xl" autoFocus onClick={close}>
        {say.goOn}
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
    <Dialog open onOpenChange={close} title={say.whoHasCome} description={say.joinWhereOthers}>
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

const KEPT = say.everythingMarkedKept;

/** Finishing with turns left is asked for first. */
function Finish() {
  const close = useClose();
  const end = useEnding();
  const left = useRun((run) => Math.max(0, run.state.planned - run.state.done));
  const turns = left === 1 ? say.turn : say.thereAreTurns(left);
  const what = left ? say.leftRound(turns, KEPT) : KEPT;
  return (
    <Dialog open onOpenChange={close} title={say.finishNow} description={what}>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="action min-h-16"
          autoFocus
          onClick={() => {
            close();
            void end();
          }}
        >
          {say.finishTheSession}
        </button>
        <button type="button" className="plain min-h-16" onClick={close}>
          {say.keepPlaying}
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
  const words = useRun((run) => run.playing && !run.check && (run.item?.words.length ?? 0) > 0);
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

/** The dialog that is open. */
export function Dialogs() {
  const name = useRun((run) => run.view.dialog);
  switch (name) {
    case 'note':
      return <Note />;
    case 'aside':
      return <Aside />;
    case 'said':
      return <Said />;
    case 'pause':
      return <Pause />;
    case 'late':
      return <Late />;
    case 'finish':
      return <Finish />;
    case 'device':
      return <Device />;
    case 'keys':
      return <Keys />;
    case 'tools':
      return <Tools />;
    case 'speaks':
      return <Speaks />;
    case 'people':
      return <People />;
    case 'pebbles':
      return <Pebbles />;
    case null:
      return null;
  }
}
