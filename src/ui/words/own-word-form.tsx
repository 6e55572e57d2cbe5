'use client';

import { clsx } from 'clsx';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { keepOwnWord, lookUpWord, tappedSounds } from '@/actions/words';
import type { OwnWordInput } from '@/core/formats/schemas';
import { CAUTIONS, type Caution } from '@/core/lexicon/entry';
import type { ProposedSounds, WordProposal } from '@/server/words/own-words';
import { BounceLine } from '../kit/bounce-line';
import { CAUTION_WORDS } from '../kit/cautions';
import { ErrorMessage } from '../kit/message';
import { sure } from '@/core/sure';
import { TapPad, type PadKey } from './tap-pad';

interface OwnWordFormProps {
  readonly start: string;
  /** A word of ours that is being changed. */
  readonly before: OwnWordInput | null;
  readonly consonants: readonly PadKey[];
  readonly vowels: readonly PadKey[];
}

type Sounds = Omit<ProposedSounds, 'answers'>;

/** The app proposes a word's sounds, asks where it cannot know, and the adult confirms by ear. */
export function OwnWordForm({ start, before, consonants, vowels }: OwnWordFormProps) {
  const router = useRouter();
  const [typed, setTyped] = useState(start);
  const [proposal, setProposal] = useState<WordProposal | null>(null);
  const [reading, setReading] = useState(0);
  const [answers, setAnswers] = useState<readonly (string | null)[]>([]);
  const [tapping, setTapping] = useState(false);
  const [tapped, setTapped] = useState<Sounds | null>(null);
  const [meaning, setMeaning] = useState(before?.meaning ?? '');
  const [sentence, setSentence] = useState(before?.sentence ?? '');
  const [prop, setProp] = useState(before?.prop ?? false);
  const [cautions, setCautions] = useState<readonly Caution[]>(before?.cautions ?? []);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();

  const now = proposal?.readings[reading];
  // A choice of one place can settle another: only choices that some candidate has with the answers so far are open.
  const open = now?.sounds.filter((s) => answers.every((a, i) => a === null || s.answers[i] === a)) ?? [];
  const settled = now !== undefined && answers.every((a) => a !== null) ? open[0] : undefined;
  const sounds: Sounds | null = tapping ? tapped : (settled ?? null);

  const startReading = (made: WordProposal, at: number): void => {
    setReading(at);
    setAnswers(made.readings[at]?.questions.map(() => null) ?? []);
  };
  const lookUp = (): void =>
    begin(async () => {
      setTapped(null);
      const found = await lookUpWord(typed);
      setError(found.ok ? '' : found.error);
      setProposal(found.ok ? found.value : null);
      if (!found.ok) return;
      setTapping(found.value.readings.length === 0);
      startReading(found.value, 0);
    });
  const showTaps = (keys: readonly string[], strong: number): void =>
    begin(async () => {
      const found = await tappedSounds(typed, keys, strong);
      setError(found.ok ? '' : found.error);
      setTapped(found.ok ? found.value : null);
    });
  const keep = (): void =>
    begin(async () => {
      const kept = await keepOwnWord({
        word: sure(proposal).word,
        line: sure(sounds).line,
        letters: sure(sounds).letters,
        meaning,
        sentence,
        prop,
        cautions,
      });
      if (kept.ok) router.push(`/word/${encodeURIComponent(kept.value)}`);
      else setError(kept.error);
    });

  return (
    <div className="max-w-3xl">
      <h1 className="mb-1 text-4xl">{before ? `Change ${before.word}` : 'Add a word'}</h1>
      <p className="mb-5 text-lg text-muted">
        A word your children use and the bank does not have. Say it aloud as you go: your ear decides.
      </p>
      <form
        className="mb-5 flex max-w-md items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          lookUp();
        }}
      >
        <label className="flex-1">
          <span className="mb-1 block">The word</span>
          <input
            className="field font-word text-xl"
            value={typed}
            onChange={(e) => {
              setTyped(e.target.value);
              setProposal(null);
              setTapping(false);
              setTapped(null);
            }}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            maxLength={40}
          />
        </label>
        <button type="submit" className={proposal ? 'plain' : 'action'} disabled={busy || !typed.trim()}>
          Find its sounds
        </button>
      </form>
      <div aria-live="polite">
        {error && (
          <div className="mb-4">
            <ErrorMessage>{error}</ErrorMessage>
          </div>
        )}
      </div>

      {proposal && !tapping && proposal.readings.length > 1 && (
        <Options
          legend="How do you say it?"
          picked={String(reading)}
          onPick={(at) => startReading(proposal, Number(at))}
          options={proposal.readings.map((r, i) => ({
            id: String(i),
            text: sure(r.sounds[0])
              .marks.map((m) => m.label)
              .join(' '),
          }))}
        />
      )}
      {now &&
        !tapping &&
        now.questions.map((question, i) => (
          <Options
            key={`${reading} ${i}`}
            legend={`Is it ${question.choices.map((c) => c.words).join(', or ')}?`}
            picked={answers[i] ?? ''}
            onPick={(choice) => setAnswers(answers.map((a, at) => (at === i ? choice : a)))}
            options={question.choices
              .filter((c) => now.sounds.some((s) => s.answers[i] === c.choice))
              .map((c) => ({ id: c.choice, text: c.words }))}
          />
        ))}
      {now && !tapping && answers.every((a) => a !== null) && !open.length && (
        <p className="mb-4 text-muted">No reading of the word has both. Choose another, or tap the sounds.</p>
      )}
      {proposal && tapping && (
        <>
          {!proposal.readings.length && (
            <p className="mb-3">
              The dictionary does not have <strong>{proposal.word}</strong>. Say it slowly and tap each sound you hear.
            </p>
          )}
          <TapPad consonants={consonants} vowels={vowels} onShow={showTaps} busy={busy} />
        </>
      )}
      {sounds && (
        <section aria-label="Its sounds" className="mt-5 mb-6 border-y border-line py-5">
          <p className="mb-3 text-lg">
            <span className={clsx('font-word text-2xl font-bold')}>{proposal?.word}</span> has{' '}
            <strong>{sounds.count}</strong> sounds. Say them one by one: are they right?
          </p>
          <BounceLine marks={sounds.marks} count={sounds.count} size="full" />
        </section>
      )}
      {proposal && !tapping && (
        <p className="mb-4">
          <button type="button" className="quiet px-1" onClick={() => setTapping(true)}>
            It sounds different: tap the sounds
          </button>
        </p>
      )}
      {proposal && tapping && proposal.readings.length > 0 && (
        <p className="mb-4">
          <button type="button" className="quiet px-1" onClick={() => setTapping(false)}>
            Back to the dictionary’s sounds
          </button>
        </p>
      )}

      {sounds && (
        <div className="grid gap-4">
          <label>
            What it means, in one line
            <input
              className="field mt-1"
              value={meaning}
              onChange={(e) => setMeaning(e.target.value)}
              maxLength={80}
              placeholder="the shed by the gate"
            />
          </label>
          <label>
            A sentence with it (optional)
            <input
              className="field mt-1"
              value={sentence}
              onChange={(e) => setSentence(e.target.value)}
              maxLength={120}
            />
          </label>
          <label className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-green"
              checked={prop}
              onChange={(e) => setProp(e.target.checked)}
            />{' '}
            It is a thing we can put in a basket
          </label>
          {prop && (
            <fieldset className="flex flex-wrap gap-x-5">
              <legend className="text-muted">To watch for</legend>
              {CAUTIONS.map((c) => (
                <label key={c} className="flex min-h-12 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-6 accent-green"
                    checked={cautions.includes(c)}
                    onChange={(e) => setCautions(e.target.checked ? [...cautions, c] : cautions.filter((o) => o !== c))}
                  />{' '}
                  {CAUTION_WORDS[c].short}
                </label>
              ))}
            </fieldset>
          )}
          <p>
            <button type="button" className="action" disabled={busy} onClick={keep}>
              It sounds right: keep it
            </button>
          </p>
        </div>
      )}
    </div>
  );
}

interface OptionsProps {
  readonly legend: string;
  readonly options: readonly { readonly id: string; readonly text: string }[];
  readonly picked: string;
  readonly onPick: (id: string) => void;
}

function Options({ legend, options, picked, onPick }: OptionsProps) {
  return (
    <fieldset className="mb-4">
      <legend className="mb-2 text-lg">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map(({ id, text }) => (
          <label
            key={id}
            className={clsx(
              'flex min-h-12 cursor-pointer items-center rounded-full border px-4',
              'has-focus-visible:outline-3 has-focus-visible:outline-slate',
              picked === id ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
            )}
          >
            <input type="radio" className="sr-only" name={legend} checked={picked === id} onChange={() => onPick(id)} />
            {text}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
