'use client';

import { clsx } from 'clsx';
import { Delete } from 'lucide-react';
import { useMemo, useState, useTransition, type ReactNode } from 'react';
import { heardLine } from '@/core/answers/heard-line';
import type { Bit } from '@/core/answers/line-text';
import { judge, type Judgement, type Question } from '@/core/answers/judge';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import type { AccentId } from '@/core/phonology/accents';
import { chart, vowelPad } from '@/core/phonology/pad';
import { Dialog } from '../../kit/dialog';
import { HeardAnswer } from '../../kit/heard-answer';
import { useKeptText } from '../../kit/kept-form';
import { ErrorMessage } from '../../kit/message';
import { MANNER_WORDS } from '../../kit/manners';
import { sure } from '@/core/sure';
import type { JudgeTyped } from './judge-typed';

/** What was said and what to make of it. */
export interface PadAnswer {
  readonly chunks: readonly (readonly string[])[];
  readonly word: string;
  readonly judgement: Judgement;
}

interface PadProps {
  readonly sessionId: string;
  readonly judgeTyped: JudgeTyped;
  readonly round: number;
  readonly itemKey: string;
  readonly accent: AccentId;
  readonly who: string;
  /** How to judge; null where the server must (a word hunt). */
  readonly question: Question | null;
  readonly onMark: (heard: PadAnswer) => void;
  readonly onClose: () => void;
}

interface PadKey {
  readonly ipa: string;
  readonly label: string;
  readonly as?: string | undefined;
}

/** The sounds of an accent to tap, by how they are made. A vowel with its r, or with a weak l, is two taps. */
function useKeys(accent: AccentId, find: string) {
  const rows = useMemo(
    () =>
      chart(accent).map((row) => ({ name: sure(MANNER_WORDS[row.manner]), keys: row.cells.flatMap((c) => c.sounds) })),
    [accent],
  );
  const vowels = useMemo(() => vowelPad(accent).filter((v) => !v.ipa.includes(' ')), [accent]);
  const wanted = find.trim().toLowerCase();
  const fits = ({ label, as, ipa }: PadKey): boolean =>
    !wanted || label.startsWith(wanted) || as?.startsWith(wanted) === true || ipa === find.trim();
  const all: PadKey[] = [...rows.flatMap((r) => r.keys), ...vowels];
  const fitting = all.filter(fits);
  const named = all.find((k) => k.label === wanted || k.ipa === find.trim());
  return { rows, vowels, fits, exact: named ?? (fitting.length === 1 ? fitting[0] : undefined) };
}

type Chunks = readonly (readonly string[])[];

/** The sounds with another one put on: as a part of its own, or joined to the last part. */
const withSound = (was: Chunks, ipa: string, parted: boolean): Chunks => {
  const last = was.at(-1);
  return parted || !last ? [...was, [ipa]] : [...was.slice(0, -1), [...last, ipa]];
};

/** The sounds without the last one. */
const withoutLast = (was: Chunks): Chunks => {
  const last = was.at(-1);
  return last && last.length > 1 ? [...was.slice(0, -1), last.slice(0, -1)] : was.slice(0, -1);
};

const AWAY = 'We can’t reach the server, so we can’t read a spelling. Tap the sounds instead.';

/** What the button says that takes what was heard. */
function markWords(heard: PadAnswer | null, question: Question | null): string {
  if (!heard) return '';
  if (question) return `Mark it: ${OUTCOME_WORDS[heard.judgement.outcome]}`;
  return heard.judgement.outcome === 'on-own' ? 'Add it to the list' : 'Leave it out';
}

/** True where the sounds are to be said one by one. */
const saidApart = (question: Question | null): boolean =>
  question?.judged.by === 'parts' || (question?.judged.by === 'sounds' && question.judged.apart === true);

/**
 * Anything else they said: tap its sounds, by how they are made, or type it as a word. Judged at once, with or without
 * the server.
 */
export function SoundPad({ sessionId, judgeTyped, round, itemKey, accent, who, question, onMark, onClose }: PadProps) {
  const [chunks, setChunks] = useState<Chunks>([]);
  const [parted, setParted] = useState(saidApart(question));
  const { text: find, setText: setFind, done } = useKeptText(`said ${sessionId} ${itemKey} ${who}`);
  const [error, setError] = useState('');
  const [served, setServed] = useState<PadAnswer | null>(null);
  const [busy, begin] = useTransition();
  const { rows, vowels, fits, exact } = useKeys(accent, find);
  const put = (key: PadKey): void => {
    setServed(null);
    setFind('');
    setChunks((was) => withSound(was, key.ipa, parted));
  };
  const line = heardLine(chunks, [], accent);
  const own = question && chunks.length ? judge(question, chunks) : null;
  const heard: PadAnswer | null = served ?? (own ? { chunks, word: '', judgement: own } : null);

  const asWord = (): void =>
    begin(async () => {
      const answer = await judgeTyped(round, itemKey, find).catch(() => null);
      if (!answer?.ok) return setError(answer ? answer.error : AWAY);
      const { said, word, ...judgement } = answer.value;
      setError('');
      // Judged here, with this child’s own way of saying sounds in mind.
      setChunks([said]);
      setServed({ chunks: [said], word, judgement: question ? judge(question, [said]) : judgement });
    });
  const marks = markWords(heard, question);
  const button = (key: PadKey) => <Key key={key.ipa} sound={key} fits={fits(key)} onTap={() => put(key)} />;
  return (
    <Dialog open wide onOpenChange={onClose} title={`${who} said`}>
      <TypeIt
        exact={exact}
        find={find}
        put={put}
        asWord={asWord}
        question={question}
        setFind={setFind}
        setError={setError}
        busy={busy}
      />
      <ErrorMessage className="mt-2">{error}</ErrorMessage>
      {question && <Pad rows={rows} button={button} vowels={vowels} />}
      <Verdict
        line={line}
        heard={heard}
        question={question}
        parted={parted}
        setParted={setParted}
        chunks={chunks}
        back={() => {
          setServed(null);
          setChunks(withoutLast);
        }}
        onMark={(what) => {
          done();
          onMark(what);
        }}
        marks={marks}
      />
    </Dialog>
  );
}

interface VerdictProps {
  readonly line: readonly Bit[];
  readonly heard: PadAnswer | null;
  readonly question: Question | null;
  readonly parted: boolean;
  readonly setParted: (next: boolean) => void;
  readonly chunks: readonly (readonly string[])[];
  readonly back: () => void;
  readonly onMark: (heard: PadAnswer) => void;
  readonly marks: string;
}

/** What was tapped, what to make of it, and the mark it gives. */
function Verdict({ line, heard, question, parted, setParted, chunks, back, onMark, marks }: VerdictProps) {
  return (
    <div className="sticky bottom-0 -mx-6 mt-4 -mb-6 grid gap-3 border-t border-line bg-card px-6 pt-3 pb-6">
      <div className="flex flex-wrap items-center gap-3">
        <p aria-live="polite" className="min-h-16 min-w-0 flex-1 content-center text-xl">
          {line.length ? (
            <span className="mr-4 text-3xl font-bold">
              <HeardAnswer show={null} line={line} />
            </span>
          ) : (
            <span className="text-muted">Tap the sounds you heard.</span>
          )}
          {heard?.judgement.why}
        </p>
        {question && (
          <button type="button" className="plain min-h-16" aria-pressed={parted} onClick={() => setParted(!parted)}>
            {parted ? 'Said one by one' : 'Said as one word'}
          </button>
        )}
        <button
          type="button"
          className="plain min-h-16"
          aria-label="Delete the last sound"
          disabled={!chunks.length}
          onClick={back}
        >
          <Delete aria-hidden="true" />
        </button>
      </div>
      {heard && (
        <button type="button" className="action min-h-16 w-full" onClick={() => onMark(heard)}>
          {marks}
        </button>
      )}
    </div>
  );
}

/** Every sound of the accent, by how it is made. */
function Pad({
  rows,
  button,
  vowels,
}: {
  readonly rows: readonly { readonly name: string; readonly keys: readonly PadKey[] }[];
  readonly button: (key: PadKey) => ReactNode;
  readonly vowels: readonly PadKey[];
}) {
  return (
    <div className="mt-3 grid gap-x-6 gap-y-2 lg:grid-cols-2">
      {rows.map((row) => (
        <div key={row.name} className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <h3 className="w-36 font-sans text-base leading-tight font-normal text-muted">{row.name}</h3>
          <ul className="flex flex-1 flex-wrap gap-1.5">{row.keys.map(button)}</ul>
        </div>
      ))}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 lg:col-span-2">
        <h3 className="w-36 font-sans text-base font-normal text-muted">vowels</h3>
        <ul className="flex flex-1 flex-wrap gap-1.5">{vowels.map(button)}</ul>
      </div>
    </div>
  );
}

interface TypeItProps {
  readonly exact: PadKey | undefined;
  readonly find: string;
  readonly put: (key: PadKey) => void;
  readonly asWord: () => void;
  readonly question: Question | null;
  readonly setFind: (next: string) => void;
  readonly setError: (next: string) => void;
  readonly busy: boolean;
}

/** A sound or a word, typed. */
function TypeIt({ exact, find, put, asWord, question, setFind, setError, busy }: TypeItProps) {
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (exact && find.trim().length <= 3) put(exact);
        else if (find.trim()) asWord();
      }}
      className="flex flex-wrap items-center gap-3"
    >
      <label className="min-w-0 flex-1">
        <span className="sr-only">Type a sound, or the word as they said it</span>
        <input
          className="field min-w-40 font-word text-2xl"
          autoFocus
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          maxLength={24}
          placeholder={question ? 'a sound, or the word as they said it' : 'the word they said'}
          value={find}
          onChange={(e) => {
            setFind(e.target.value);
            setError('');
          }}
        />
      </label>
      <button type="button" className="plain shrink-0" disabled={busy || find.trim().length < 2} onClick={asWord}>
        It’s a real word
      </button>
    </form>
  );
}

const Key = ({ sound, fits, onTap }: { sound: PadKey; fits: boolean; onTap: () => void }) => (
  <li>
    <button
      type="button"
      onClick={onTap}
      disabled={!fits}
      className={clsx(
        'flex min-h-14 min-w-14 flex-col items-center justify-center rounded-lg border',
        'border-line-strong bg-paper px-2 font-word text-2xl leading-none hover:border-ink',
        'disabled:opacity-25',
      )}
    >
      {sound.label}
      {sound.as && <span className="font-sans text-base font-normal text-muted">{sound.as}</span>}
    </button>
  </li>
);
