'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { keepOwnWord, lookUpWord, tappedSounds } from '@/actions/words';
import type { OwnWordInput } from '@/core/formats/schemas';
import { OWN_CAUTIONS, type Caution } from '@/core/lexicon/cautions';
import type { ProposedSounds, WordProposal } from '@/server/words/own-words';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { useKeptForm, useKeptText } from '../kit/kept-form';
import { RadioGroup } from '../kit/radio-group';
import { BounceLine } from '../kit/bounce-line';
import { CAUTION_WORDS } from '../kit/cautions';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';
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

/** What is known of a word's sounds while they are looked up, asked about and tapped. */
function useSounds(start: string) {
  const { text: typed, setText: setTyped, done } = useKeptText('own-word', start);
  const [proposal, setProposal] = useState<WordProposal | null>(null);
  const [reading, setReading] = useState(0);
  const [answers, setAnswers] = useState<readonly (string | null)[]>([]);
  const [tapping, setTapping] = useState(false);
  const [tapped, setTapped] = useState<Sounds | null>(null);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();

  const now = proposal?.readings[reading];
  // A choice of one place can settle another: only choices that some candidate has with the answers so far are open.
  const open = now?.sounds.filter((s) => answers.every((a, i) => a === null || s.answers[i] === a)) ?? [];
  const answered = now !== undefined && answers.every((a) => a !== null);
  const settled = answered ? open[0] : undefined;
  const startReading = (made: WordProposal, at: number): void => {
    setReading(at);
    setAnswers(made.readings[at]?.questions.map(() => null) ?? []);
  };
  return {
    typed,
    done,
    proposal,
    reading,
    answers,
    now,
    tapping,
    setTapping,
    error,
    setError,
    busy,
    begin,
    /** Every question is answered, and no reading has all the answers. */
    stuck: answered && !open.length,
    sounds: tapping ? tapped : (settled ?? null),
    startReading,
    answer: (at: number, choice: string): void => setAnswers(answers.map((a, i) => (i === at ? choice : a))),
    type: (text: string): void => {
      setTyped(text);
      setProposal(null);
      setTapping(false);
      setTapped(null);
    },
    lookUp: (): void =>
      begin(async () => {
        const found = await lookUpWord(typed).catch(unreached('The word is still here.'));
        setError(found.ok ? '' : found.error);
        if (!found.ok) return;
        setTapped(null);
        setProposal(found.value);
        setTapping(found.value.readings.length === 0);
        startReading(found.value, 0);
      }),
    showTaps: (keys: readonly string[], strong: number): void =>
      begin(async () => {
        const found = await tappedSounds(typed, keys, strong).catch(unreached('Nothing was changed.'));
        setError(found.ok ? '' : found.error);
        setTapped(found.ok ? found.value : null);
      }),
  };
}
type SoundsWork = ReturnType<typeof useSounds>;

/** The app proposes a word's sounds, asks where it cannot know, and the adult confirms by ear. */
export function OwnWordForm({ start, before, consonants, vowels }: OwnWordFormProps) {
  const router = useRouter();
  const work = useSounds(start);
  const { form, values: about, done } = useKeptForm(`own-word-${before?.word ?? ''}`, aboutWord(before));
  const { proposal, sounds, error, busy } = work;
  const keep = (): void =>
    work.begin(async () => {
      const { word } = sure(proposal);
      const { line, letters } = sure(sounds);
      const kept = await keepOwnWord({ word, line, letters, ...about }).catch(unreached('The word is still here.'));
      if (!kept.ok) return work.setError(kept.error);
      done(about);
      work.done();
      router.push(`/word/${encodeURIComponent(kept.value)}`);
    });
  return (
    <div className="max-w-3xl">
      <h1 className="mb-1 text-4xl">{before ? `Change ${before.word}` : 'Add words'}</h1>
      <p className="mb-5 text-lg text-muted">
        Add a word your children use that isn’t in the word bank. Say it aloud as you go: your ear decides.
      </p>
      <Spelling work={work} />
      <Trouble error={error} />
      {proposal && !work.tapping && <Asking work={work} proposal={proposal} />}
      {proposal && work.tapping && (
        <Tapping proposal={proposal} consonants={consonants} vowels={vowels} work={work} busy={busy} />
      )}
      {proposal && sounds && <ItsSounds proposal={proposal} sounds={sounds} />}
      {proposal && <OtherWay work={work} proposal={proposal} />}
      {sounds && <AboutWord about={about} form={form} busy={busy} keep={keep} />}
    </div>
  );
}

/** What went wrong, in words. */
function Trouble({ error }: { readonly error: string }) {
  return (
    <div aria-live="polite">
      <ErrorMessage className="mb-4">{error}</ErrorMessage>
    </div>
  );
}

interface TappingProps {
  readonly proposal: WordProposal;
  readonly consonants: readonly PadKey[];
  readonly vowels: readonly PadKey[];
  readonly work: SoundsWork;
  readonly busy: boolean;
}

/** The sounds are tapped, one after the other. */
function Tapping({ proposal, consonants, vowels, work, busy }: TappingProps) {
  return (
    <>
      {!proposal.readings.length && (
        <p className="mb-3">
          The dictionary doesn’t have <strong>{proposal.word}</strong>. Say it slowly and tap each sound you hear.
        </p>
      )}
      <TapPad consonants={consonants} vowels={vowels} onShow={work.showTaps} busy={busy} />
    </>
  );
}

/** Which reading of the dictionary, and what it cannot know about it. */
function Asking({ work, proposal }: { readonly work: SoundsWork; readonly proposal: WordProposal }) {
  const { now, reading, answers } = work;
  return (
    <>
      {proposal.readings.length > 1 && (
        <Options
          legend="How do you say it?"
          picked={String(reading)}
          onPick={(at) => work.startReading(proposal, Number(at))}
          options={proposal.readings.map((r, i) => ({
            id: String(i),
            text: sure(r.sounds[0])
              .marks.map((m) => m.label)
              .join(' '),
          }))}
        />
      )}
      {now?.questions.map((question, i) => (
        <Options
          key={`${reading} ${i}`}
          legend={`Is it ${question.choices.map((c) => c.words).join(', or ')}?`}
          picked={answers[i] ?? ''}
          onPick={(choice) => work.answer(i, choice)}
          options={question.choices
            .filter((c) => now.sounds.some((s) => s.answers[i] === c.choice))
            .map((c) => ({ id: c.choice, text: c.words }))}
        />
      ))}
      {work.stuck && (
        <p className="mb-4 text-muted">No way of saying the word has both. Choose another, or tap the sounds.</p>
      )}
    </>
  );
}

/** From the dictionary to tapping, and back where it has the word. */
function OtherWay({ work, proposal }: { readonly work: SoundsWork; readonly proposal: WordProposal }) {
  const { tapping, setTapping } = work;
  if (tapping && !proposal.readings.length) return null;
  return (
    <p className="mb-4">
      <Button kind="quiet" className="px-1" onClick={() => setTapping(!tapping)}>
        {tapping ? 'Back to the dictionary’s sounds' : 'It sounds different: tap the sounds'}
      </Button>
    </p>
  );
}

/** The sounds, to be said one by one. */
function ItsSounds({ proposal, sounds }: { readonly proposal: WordProposal; readonly sounds: Sounds }) {
  return (
    <section aria-label="Its sounds" className="mt-5 mb-6 border-y border-line py-5">
      <p className="mb-3 text-lg">
        <span className="font-word text-2xl font-bold">{proposal.word}</span> has {sounds.count} sounds. Say them one by
        one: are they right?
      </p>
      <BounceLine marks={sounds.marks} count={sounds.count} size="full" />
    </section>
  );
}

interface About {
  readonly meaning: string;
  readonly sentence: string;
  readonly prop: boolean;
  readonly cautions: Caution[];
}

const aboutWord = (before: OwnWordInput | null): About => ({
  meaning: before?.meaning ?? '',
  sentence: before?.sentence ?? '',
  prop: before?.prop ?? false,
  cautions: [...(before?.cautions ?? [])],
});

interface AboutWordProps {
  readonly about: About;
  readonly form: UseFormReturn<About>;
  readonly busy: boolean;
  readonly keep: () => void;
}

/** What it means, a sentence with it, whether it is a thing to hold. */
function AboutWord({ about: { prop, cautions }, form, busy, keep }: AboutWordProps) {
  const put = (next: Caution[]): void => form.setValue('cautions', next, { shouldDirty: true });
  return (
    <div className="grid gap-4">
      <label>
        What it means, in one line
        <input className="field mt-1" {...form.register('meaning')} maxLength={80} placeholder="the shed by the gate" />
      </label>
      <label>
        A sentence with it (optional)
        <input className="field mt-1" {...form.register('sentence')} maxLength={120} />
      </label>
      <Checkbox
        label="It’s a thing we could put in a basket"
        checked={prop}
        onChange={(on) => form.setValue('prop', on, { shouldDirty: true })}
      />
      {prop && (
        <fieldset className="flex flex-wrap gap-x-5">
          <legend className="text-muted">Things to watch out for</legend>
          {OWN_CAUTIONS.map((c) => (
            <Checkbox
              key={c}
              label={CAUTION_WORDS[c].short}
              checked={cautions.includes(c)}
              onChange={(on) => put(on ? [...cautions, c] : cautions.filter((o) => o !== c))}
            />
          ))}
        </fieldset>
      )}
      <p>
        <Button kind="action" disabled={busy} onClick={keep}>
          It sounds right: save it
        </Button>
      </p>
    </div>
  );
}

/** The word as it is spelt. */
function Spelling({ work: { typed, type, lookUp, proposal, busy } }: { readonly work: SoundsWork }) {
  return (
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
          onChange={(e) => type(e.target.value)}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          maxLength={40}
        />
      </label>
      <Button type="submit" kind={proposal ? 'plain' : 'action'} disabled={busy || !typed.trim()}>
        Find its sounds
      </Button>
    </form>
  );
}

interface OptionsProps {
  readonly legend: string;
  readonly options: readonly { readonly id: string; readonly text: string }[];
  readonly picked: string;
  readonly onPick: (id: string) => void;
}

const Options = ({ legend, options, picked, onPick }: OptionsProps) => (
  <div className="mb-4">
    <RadioGroup
      kind="pills"
      legend={<span className="text-lg">{legend}</span>}
      value={picked}
      onChange={onPick}
      options={options.map(({ id, text }) => ({ value: id, label: text }))}
    />
  </div>
);
