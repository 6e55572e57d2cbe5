'use client';

import { clsx } from 'clsx';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { EyeOff, GripVertical, RefreshCw, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import { keepAside, keepSet } from '@/actions/words';
import type { Choice } from '@/core/formats/schemas';
import { Button } from '../kit/button';
import { useKeptText } from '../kit/kept-form';
import { Link } from '../kit/link';
import { Select } from '../kit/select';
import { ErrorMessage } from '../kit/message';
import { Picture } from '../kit/picture';
import { toldMoves } from '../kit/told-moves';
import { unreached } from '../kit/unreached';
import { StartForm } from '../today/start-form';
import { address } from './address';
import { OtherGame } from './other-game';
import { WITHHELD_WORDS, type Withheld } from '@/core/lexicon/country';

interface SetWord {
  readonly word: string;
  readonly count: number;
  readonly picture: string | null;
  /** Why it is not put forward here. */
  readonly withheld: Withheld | null;
}
interface SetPanelProps {
  readonly choice: Choice;
  readonly groupId: string;
  readonly groupName: string;
  readonly words: readonly SetWord[];
  readonly proposed: boolean;
  readonly missing: readonly string[];
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly saved: { readonly id: string; readonly name: string; readonly words: readonly string[] } | null;
  readonly tasks: readonly { readonly id: string; readonly name: string }[];
  readonly sizes: readonly number[];
  readonly size: number;
}

/** True as long as this screen is shown. */
function useHere() {
  const here = useRef(true);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  return here;
}

const setKey = (words: readonly SetWord[]): string => words.map((w) => w.word).join();

/** The set as it stands, and what can be done with it. */
function useSet({
  choice,
  groupId,
  groupName,
  words: given,
  saved,
  spares,
}: Pick<SetPanelProps, 'choice' | 'groupId' | 'groupName' | 'words' | 'saved' | 'spares'>) {
  const router = useRouter();
  const [words, setWords] = useState(given);
  // What comes from the server takes the place of what stood here; a word that was moved keeps its line and the focus.
  const [last, setLast] = useState(given);
  if (setKey(last) !== setKey(given)) {
    setLast(given);
    setWords(given);
  }
  const { text: name, setText: setName, done } = useKeptText(`set ${saved?.id ?? 'new'}`, saved?.name ?? '');
  const [said, setSaid] = useState('');
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const here = useHere();
  const names = words.map((w) => w.word);
  const changed = saved !== null && (name.trim() !== saved.name || names.join() !== saved.words.join());

  const show = (next: readonly SetWord[], change: Parameters<typeof address>[1] = {}): void => {
    setWords(next);
    router.replace(address(choice, { words: next.map((w) => w.word), ...change }), { scroll: false });
  };
  const moved = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id)
      show(arrayMove([...words], names.indexOf(String(active.id)), names.indexOf(String(over.id))));
  };
  const swap = (word: string): void => {
    const next = spares[0];
    if (next)
      router.replace(
        address(choice, { words: names.map((n) => (n === word ? next : n)), no: [...(choice.no ?? []), word] }),
        { scroll: false },
      );
  };
  const putAside = (word: string): void =>
    begin(async () => {
      const answer = await keepAside(groupId, word, true).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : answer.error);
      if (!answer.ok || !here.current) return;
      setSaid(`${word} is put aside for ${groupName}. You can bring it back in Settings.`);
      swap(word);
    });
  const resize = (next: string): void =>
    router.replace(address(choice, { size: next, words: undefined, set: undefined }), { scroll: false });
  const save = (asNew: boolean): void =>
    begin(async () => {
      const answer = await keepSet(name, names, asNew ? undefined : saved?.id).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : answer.error);
      setSaid(answer.ok ? `Saved as ${name.trim()}.` : '');
      if (answer.ok) done(name);
      // Whoever has gone to another screen meanwhile stays there.
      if (answer.ok && here.current)
        router.replace(address(choice, { words: names, set: answer.value }), { scroll: false });
    });
  return { words, names, name, setName, changed, busy, said, error, show, moved, swap, putAside, resize, save };
}

/** The set beside the words: put in order by hand or by keys, swapped, saved, played. It lives in the address. */
export function SetPanel({
  choice,
  groupId,
  groupName,
  words: given,
  proposed,
  missing,
  model,
  spares,
  saved,
  tasks,
  sizes,
  size,
}: SetPanelProps) {
  const panel = useSet({ choice, groupId, groupName, words: given, saved, spares });
  const { words, names, name, setName, changed, busy, said, error } = panel;

  return (
    <>
      <Title words={words} saved={saved} proposed={proposed} missing={missing} />
      <Order
        moved={panel.moved}
        names={names}
        words={words}
        proposed={proposed}
        spares={spares}
        swap={panel.swap}
        show={panel.show}
        groupName={groupName}
        putAside={panel.putAside}
      />
      {!words.length && <NoWords choice={choice} />}
      <Games tasks={tasks} choice={choice} />
      <StartForm
        groupId={groupId}
        set={{ task: choice.task, words: names, model, spares }}
        label={`Play with ${groupName}`}
      />
      {words.length > 0 && <OtherGame groupId={groupId} words={names} />}
      <Others choice={choice} proposed={proposed} size={size} resize={panel.resize} sizes={sizes} />
      <Keep
        name={name}
        setName={setName}
        busy={busy}
        words={words}
        saved={saved}
        changed={changed}
        save={panel.save}
        error={error}
        said={said}
        choice={choice}
        names={names}
      />
    </>
  );
}

/** What to do where the set is empty. */
function NoWords({ choice }: { readonly choice: Choice }) {
  return (
    <p className="mb-4 text-muted">
      Add words with the plus beside them, or{' '}
      <Link className="underline underline-offset-4" href={address(choice, { words: undefined, set: undefined })}>
        let us suggest a set
      </Link>
      .
    </p>
  );
}

interface KeepProps {
  readonly name: string;
  readonly setName: (next: string) => void;
  readonly busy: boolean;
  readonly words: readonly SetWord[];
  readonly saved: { readonly id: string; readonly name: string; readonly words: readonly string[] } | null;
  readonly changed: boolean;
  readonly save: (asNew: boolean) => void;
  readonly error: string;
  readonly said: string;
  readonly choice: Choice;
  readonly names: readonly string[];
}

/** Keeps the set under a name. */
function Keep({ name, setName, busy, words, saved, changed, save, error, said, choice, names }: KeepProps) {
  return (
    <div className="mt-3 border-t border-line pt-3">
      <label className="mb-1 block text-muted" htmlFor="set-name">
        Name of the set
      </label>
      <div className="flex gap-2">
        <input
          id="set-name"
          className="field"
          value={name}
          onChange={(e) => setName(e.target.value)}
          placeholder="Greenhouse words"
          autoComplete="off"
        />
        <Button
          className="shrink-0"
          disabled={busy || !words.length || !name.trim() || (saved !== null && !changed)}
          onClick={() => save(saved === null)}
        >
          {saved ? 'Save changes' : 'Save'}
        </Button>
      </div>
      <div aria-live="polite" className="mt-2 text-[0.95rem]">
        <ErrorMessage>{error}</ErrorMessage>
        {said && !error && <p className="text-green">{said}</p>}
      </div>
      {saved && (
        <p className="text-[0.95rem]">
          <Link className="quiet px-1" href={`/print/sets/${saved.id}`}>
            Print it
          </Link>{' '}
          <Link className="quiet px-1" href={address(choice, { set: undefined, words: names })}>
            Save as a new set
          </Link>{' '}
          <Link className="quiet px-1" href="/words/sets">
            All our sets
          </Link>
        </p>
      )}
    </div>
  );
}

interface OthersProps {
  readonly choice: Choice;
  readonly proposed: boolean;
  readonly size: number;
  readonly resize: (size: string) => void;
  readonly sizes: readonly number[];
}

/** Another proposal, of another size. */
function Others({ choice, proposed, size, resize, sizes }: OthersProps) {
  return (
    <div className="mt-2 flex flex-wrap items-center justify-between gap-x-2 text-[0.95rem]">
      <Link
        className="quiet px-1"
        href={address(choice, { words: undefined, no: undefined, set: undefined, seed: choice.seed + 1 })}
        scroll={false}
      >
        <RefreshCw aria-hidden="true" size={17} /> {proposed ? 'Suggest others' : 'Suggest a set'}
      </Link>
      <span className="flex items-center gap-1 text-muted">
        of
        <Select
          kind="bare"
          label="How many words"
          value={String(size)}
          onChange={resize}
          options={sizes.map((n) => [String(n), `${n} words`])}
        />
      </span>
    </div>
  );
}

/** Which game the set is for. */
function Games({
  tasks,
  choice,
}: {
  readonly tasks: readonly { readonly id: string; readonly name: string }[];
  readonly choice: Choice;
}) {
  return (
    <fieldset className="mb-3 flex flex-wrap gap-2">
      <legend className="sr-only">Game</legend>
      {tasks.map((task) => (
        <Link
          key={task.id}
          href={address(choice, { task: task.id })}
          scroll={false}
          aria-current={choice.task === task.id ? 'true' : undefined}
          className={clsx(
            'flex min-h-12 flex-1 items-center justify-center rounded-full border px-3',
            choice.task === task.id ? 'border-ink bg-ink text-card' : 'border-line-strong hover:border-ink',
          )}
        >
          {task.name}
        </Link>
      ))}
    </fieldset>
  );
}

interface OrderProps {
  readonly moved: ({ active, over }: DragEndEvent) => void;
  readonly names: readonly string[];
  readonly words: readonly SetWord[];
  readonly proposed: boolean;
  readonly spares: readonly string[];
  readonly swap: (word: string) => void;
  readonly show: (next: readonly SetWord[], change?: Parameters<typeof address>[1]) => void;
  readonly groupName: string;
  readonly putAside: (word: string) => void;
}

/** The words in their order, moved by hand or by keys. */
function Order({ moved, names, words, proposed, spares, swap, show, groupName, putAside }: OrderProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      id="set"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={moved}
      accessibility={{ announcements: toldMoves(names, (word) => word) }}
    >
      <SortableContext items={[...names]} strategy={verticalListSortingStrategy}>
        <ol
          aria-labelledby="set"
          className="mb-3 max-h-[19rem] divide-y divide-line overflow-y-auto border-y border-line"
        >
          {words.map((w, i) => (
            <SetLine
              key={w.word}
              word={w.word}
              picture={w.picture}
              note={wordNote(w, proposed && i === words.length - 1 && i > 0)}
              asideLabel={`Not with ${groupName}: ${w.word}`}
              onAside={() => putAside(w.word)}
              onSwap={spares.length ? () => swap(w.word) : null}
              onRemove={() => show(words.filter((other) => other.word !== w.word))}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

const wordNote = ({ withheld }: SetWord, stretch: boolean): string => {
  if (withheld) return WITHHELD_WORDS[withheld];
  return stretch ? 'stretch' : '';
};

interface SetLineProps {
  readonly word: string;
  readonly picture: string | null;
  readonly note: string;
  readonly asideLabel: string;
  readonly onAside: () => void;
  readonly onSwap: (() => void) | null;
  readonly onRemove: () => void;
}

function SetLine({ word, picture, note, asideLabel, onAside, onSwap, onRemove }: SetLineProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: word });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center bg-card ${isDragging ? 'relative z-10 shadow-lg' : ''}`}
    >
      <button
        type="button"
        className="grid size-12 shrink-0 cursor-grab place-items-center text-muted"
        {...attributes}
        {...listeners}
        aria-label={`Move ${word}`}
      >
        <GripVertical aria-hidden="true" size={20} />
      </button>
      <span className="w-9 shrink-0">{picture && <Picture code={picture} size={28} />}</span>
      <Link
        href={`/word/${word}`}
        className="min-w-0 flex-1 font-word text-xl wrap-anywhere hover:underline hover:underline-offset-4"
      >
        {word}
      </Link>
      {note && <span className="text-[0.95rem] text-muted">{note}</span>}
      {onSwap && (
        <button
          type="button"
          className="grid size-12 shrink-0 place-items-center rounded-lg text-green hover:bg-paper"
          onClick={onSwap}
          aria-label={`Swap ${word} for another word`}
        >
          <RefreshCw aria-hidden="true" size={18} />
        </button>
      )}
      <button
        type="button"
        className="grid size-12 shrink-0 place-items-center rounded-lg text-muted hover:bg-paper hover:text-ink"
        onClick={onRemove}
        aria-label={`Remove ${word}`}
      >
        <X aria-hidden="true" size={18} />
      </button>
      <button
        type="button"
        className="grid size-12 shrink-0 place-items-center rounded-lg text-muted hover:bg-paper hover:text-ink"
        onClick={onAside}
        aria-label={asideLabel}
        title="Not with this group"
      >
        <EyeOff aria-hidden="true" size={18} />
      </button>
    </li>
  );
}

/** What set it is, and what is missing from it. */
function Title({ words, saved, proposed, missing }: Pick<SetPanelProps, 'words' | 'saved' | 'proposed' | 'missing'>) {
  return (
    <>
      <h2 id="set" tabIndex={-1} className="text-2xl wrap-anywhere">
        {saved ? saved.name : 'Word set'} · {words.length} {words.length === 1 ? 'word' : 'words'}
      </h2>
      <p className="mb-1 text-muted">
        {proposed ? 'our suggestion: easy words first, one harder word at the end' : 'your own order'}
      </p>
      {missing.length > 0 && (
        <p className="mb-2 text-[0.95rem] text-red">Not in the word bank any more: {missing.join(', ')}.</p>
      )}
    </>
  );
}
