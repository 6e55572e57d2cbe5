'use client';

import { X } from 'lucide-react';
import { useState, useTransition } from 'react';
import { tickWord } from '@/actions/words';
import { listed } from '@/core/in-words';
import type { LettersPage } from '@/server/words/letters-page';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { Section } from '../kit/section';
import { unreached } from '../kit/unreached';

interface OddWordsProps {
  readonly groupId: string;
  readonly words: LettersPage['words'];
}

/** Words with an odd part that were taught as they are. */
export function OddWords({ groupId, words }: OddWordsProps) {
  const { text, setText, done } = useKeptText(`odd words of ${groupId}`);
  const [error, setError] = useState('');
  const [running, begin] = useTransition();
  const say = (word: string, taught: boolean): void =>
    begin(async () => {
      const answer = await tickWord(groupId, word, taught).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : answer.error);
      if (answer.ok && taught) done();
    });
  return (
    <Section id="odd-h" title="Words with an odd part" heading="text-2xl" className="mt-10">
      <p className="mt-1 text-muted">
        In “said”, a and i don’t say what they usually say. Add words like that once the group knows them.
      </p>
      {words.length > 0 && (
        <ul className="mt-3 flex flex-wrap gap-2">
          {words.map(({ word, odd }) => (
            <li key={word} className="flex items-center gap-2 rounded-full border border-line-strong bg-card pl-4">
              <b className="font-word text-xl">{word}</b>
              {odd.length > 0 && <span className="text-muted">{listed(odd)}</span>}
              <button
                type="button"
                aria-label={`Take ${word} off the list`}
                className="grid size-12 place-items-center rounded-full hover:text-ink"
                onClick={() => say(word, false)}
              >
                <X aria-hidden="true" size={18} />
              </button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          say(text, true);
        }}
      >
        <Field htmlFor="odd-word" label="A word with an odd part">
          <input
            id="odd-word"
            className="field w-60 font-word text-lg"
            maxLength={40}
            autoCapitalize="none"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </Field>
        <Button type="submit" disabled={running || !text.trim()}>
          Add it
        </Button>
      </form>
      <ErrorMessage className="mt-2">{error}</ErrorMessage>
    </Section>
  );
}
