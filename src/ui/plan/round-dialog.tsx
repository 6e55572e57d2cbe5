'use client';

import { useState } from 'react';
import type { PlanChange } from '@/core/formats/plan-file';
import { GESTURES } from '@/core/games/gestures';
import { OWN_NAME } from '@/core/games/spec';
import {
  GAP_CHOICES,
  ROLE_WORDS,
  ROUND_ROLES,
  WAY_WORDS,
  WAYS,
  type PlannedRound,
} from '@/core/sessions/running-order';
import type { Catalogue, CatalogueTask } from '@/server/plans/catalogue';
import type { ShownRound } from '@/server/plans/plan-shown';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { Dialog } from '../kit/dialog';
import { useKeptForm, useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { RadioGroup } from '../kit/radio-group';
import { SelectField } from '../kit/select';
import { GamePicker } from './game-picker';

const HANDS = ['no hands', 'one hand', 'two hands'] as const;

interface RoundDialogProps {
  readonly round: PlannedRound;
  readonly shown: ShownRound;
  readonly task: CatalogueTask;
  readonly games: Catalogue;
  readonly letters: boolean;
  readonly put: (change: (round: PlannedRound) => PlannedRound) => void;
  readonly ask: (change: PlanChange) => Promise<boolean>;
  readonly said: string | null;
  /** Why the last change could not be made. */
  readonly error: string | null;
  readonly onClose: () => void;
}

/** How a round runs: game and step, who answers, the pause, the gesture, the frame, the words by name. */
export function RoundDialog({ round, shown, task, games, put, ask, said, error, onClose }: RoundDialogProps) {
  /** The kind of change that was refused last. */
  const [failed, setFailed] = useState<PlanChange['kind'] | null>(null);
  const tell = async (change: PlanChange): Promise<boolean> => {
    const done = await ask(change);
    setFailed(done ? null : change.kind);
    return done;
  };
  const why = (...kinds: readonly PlanChange['kind'][]): string | null =>
    failed !== null && kinds.includes(failed) ? error : null;
  return (
    <Dialog open onOpenChange={onClose} title={shown.name}>
      <div className="space-y-6">
        <GamePicker
          key={`${round.task} ${round.step}`}
          games={games}
          task={round.task}
          step={round.step}
          label="Remake this round"
          onPick={async (id, step) => {
            await tell({ kind: 'set', round: round.id, task: id, step });
          }}
        />
        {!shown.inOrder && (
          <Button className="w-full" onClick={() => void tell({ kind: 'aim', round: round.id })}>
            Just right: pick a step most can do
          </Button>
        )}
        <p role="status" className={said ? 'border-l-4 border-slate pl-3' : 'sr-only'}>
          {said ?? ''}
        </p>
        <ErrorMessage>{why('set', 'aim')}</ErrorMessage>
        <div>
          {task.leadsOn ? (
            <ChainForm tell={tell} round={round} />
          ) : (
            !shown.inOrder && <WordForm tell={tell} round={round} />
          )}
          <ErrorMessage className="mt-2">{why('put', 'chain')}</ErrorMessage>
        </div>
        <Choice
          legend="Who answers"
          value={round.way}
          options={WAYS.map((w) => [w, WAY_WORDS[w]])}
          onPick={(way) => put((r) => ({ ...r, way }))}
        />
        <Part round={round} put={put} />
        <Pause round={round} put={put} />
        <Gesture round={round} put={put} shown={shown} />
        <RoundFrame round={round} put={put} shown={shown} />
        <Reminder round={round} put={put} />
        {task.ownName && (
          <Button
            className="w-full"
            disabled={round.items.some((i) => i.key === OWN_NAME)}
            onClick={() => void tell({ kind: 'put', round: round.id, word: OWN_NAME })}
          >
            Clap their own names too
          </Button>
        )}
      </div>
    </Dialog>
  );
}

type Changed = Pick<RoundDialogProps, 'round' | 'put'>;

/** Which part of the session it is. */
function Part({ round, put }: Changed) {
  return (
    <Choice
      legend="Part of the session"
      value={round.role}
      options={ROUND_ROLES.map((r) => [r, ROLE_WORDS[r]])}
      onPick={(role) => put((r) => ({ ...r, role }))}
    />
  );
}

/** How long to wait between sounds. */
function Pause({ round, put }: Changed) {
  return (
    <Choice
      legend="Pause between sounds"
      value={String(round.gap)}
      options={GAP_CHOICES.map((g) => [String(g), `${g} s`])}
      onPick={(gap) => put((r) => ({ ...r, gap: Number(gap) }))}
    />
  );
}

/** A line for the adult. */
function Reminder({ round, put }: Changed) {
  return (
    <label className="block">
      <span className="mb-1 block text-muted">To remember</span>
      <input
        className="field"
        maxLength={200}
        value={round.reminder}
        onChange={(e) => put((r) => ({ ...r, reminder: e.target.value }))}
      />
    </label>
  );
}

interface WordFieldProps {
  readonly label: string;
  readonly word: string;
  readonly setWord: (next: string) => void;
}

const WordField = ({ label, word, setWord }: WordFieldProps) => (
  <label className="block min-w-0 flex-1">
    <span className="mb-1 block text-muted">{label}</span>
    <input
      className="field font-word text-xl"
      value={word}
      onChange={(e) => setWord(e.target.value)}
      autoComplete="off"
    />
  </label>
);

interface FormProps {
  readonly tell: (change: PlanChange) => Promise<boolean>;
  readonly round: PlannedRound;
}

/** A word put in by name. */
function WordForm({ tell, round }: FormProps) {
  const { text: word, setText: setWord, done: forget } = useKeptText(`word ${round.id}`);
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void tell({ kind: 'put', round: round.id, word }).then((done) => {
          if (done) forget();
        });
      }}
    >
      <WordField label="Add a word" word={word} setWord={setWord} />
      <Button type="submit" className="shrink-0" disabled={!word.trim()}>
        Add it
      </Button>
    </form>
  );
}

/** A chain from a word, or between two. */
function ChainForm({ tell, round }: FormProps) {
  const usual = { start: round.items[0]?.key.split(' ')[0] ?? '', target: '' };
  const { form, values, done: forget } = useKeptForm(`chain ${round.id}`, usual);
  const set = (end: keyof typeof usual) => (word: string) => form.setValue(end, word, { shouldDirty: true });
  return (
    <form
      className="grid grid-cols-2 gap-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        void tell({ kind: 'chain', round: round.id, ...values }).then((done) => {
          if (done) forget(values);
        });
      }}
    >
      <WordField label="From" word={values.start} setWord={set('start')} />
      <WordField label="To (optional)" word={values.target} setWord={set('target')} />
      <Button type="submit" className="col-span-2">
        Find the chain
      </Button>
    </form>
  );
}

interface LineFieldProps {
  readonly label: string;
  /** Letters. */
  readonly most: number;
  readonly line: string;
  readonly setLine: (next: string) => void;
}

const LineField = ({ label, most, line, setLine }: LineFieldProps) => (
  <label className="block">
    <span className="mb-1 block text-[0.95rem] text-muted">{label}</span>
    <textarea className="field" rows={2} maxLength={most} value={line} onChange={(e) => setLine(e.target.value)} />
  </label>
);

/** The story it is told in, and its lines. */
function RoundFrame({ round, put, shown }: Changed & Pick<RoundDialogProps, 'shown'>) {
  const frame = (change: Partial<PlannedRound['frame']>): void =>
    put((r) => ({ ...r, frame: { ...r.frame, ...change } }));
  return (
    <fieldset className="space-y-3">
      <legend className="mb-1 text-muted">Story frame</legend>
      <Checkbox
        label="Open it with a story from the allotment"
        checked={round.frame.on}
        onChange={(on) => frame({ on, opening: null, ask: null })}
      />
      <LineField
        label="Opening line"
        most={240}
        line={round.frame.opening ?? shown.opening}
        setLine={(opening) => frame({ opening })}
      />
      <LineField
        label="What you say (words in {curly brackets} are filled in)"
        most={160}
        line={round.frame.ask ?? shown.ask}
        setLine={(ask) => frame({ ask })}
      />
      {(round.frame.opening !== null || round.frame.ask !== null) && (
        <Button kind="quiet" className="-ml-3" onClick={() => frame({ opening: null, ask: null })}>
          Restore the original wording
        </Button>
      )}
    </fieldset>
  );
}

/** What hands do. */
function Gesture({ round, put, shown }: Changed & Pick<RoundDialogProps, 'shown'>) {
  return (
    <SelectField
      label="Gesture"
      hint={shown.gesture}
      value={round.gesture}
      onChange={(gesture) => put((r) => ({ ...r, gesture }))}
      options={GESTURES.map((g) => [g.id, g.id === 'task' ? g.name : `${g.name}: ${HANDS[g.hands]}, up to ${g.shows}`])}
    />
  );
}

interface ChoiceProps<T extends string> {
  readonly legend: string;
  readonly value: string;
  readonly options: readonly (readonly [T, string])[];
  readonly onPick: (value: T) => void;
}

const Choice = <T extends string>({ legend, value, options, onPick }: ChoiceProps<T>) => (
  <RadioGroup
    kind="pills"
    legend={<span className="text-muted">{legend}</span>}
    value={value}
    onChange={(next) => onPick(next as T)}
    options={options.map(([id, label]) => ({ value: id, label }))}
  />
);
