'use client';

import { X } from 'lucide-react';
import { useState, useTransition } from 'react';
import { addLine, removeLine } from '@/actions/words';
import type { LettersPage } from '@/server/words/letters-page';
import { Button } from '../kit/button';
import { Collapsible } from '../kit/collapsible';
import { Field } from '../kit/field';
import { useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { Section } from '../kit/section';
import { unreached } from '../kit/unreached';

/** Lines that are shown before the rest is asked for. */
const FIRST = 10;

type Lines = LettersPage['lines'];

/** Phrases and sentences the group can read, and a line of the setting’s own. */
export function LinesToRead({ lines }: { readonly lines: Lines }) {
  const { text, setText, done } = useKeptText('own line');
  const [error, setError] = useState('');
  const [said, setSaid] = useState('');
  const [running, begin] = useTransition();
  const add = (): void =>
    begin(async () => {
      const answer = await addLine(text).catch(unreached('Your line is still here.'));
      setError(answer.ok ? '' : answer.error);
      setSaid(answer.ok ? `“${text.trim()}” is kept. It comes up for every group that can read it.` : '');
      if (answer.ok) done();
    });
  const remove = (id: string): void =>
    begin(async () => {
      const answer = await removeLine(id).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : answer.error);
    });
  const [first, rest] = [lines.slice(0, FIRST), lines.slice(FIRST)];
  return (
    <Section id="lines-h" title="Lines they can read" heading="text-2xl" className="mt-10">
      {lines.length === 0 ? (
        <p className="mt-1 text-muted">
          There are none yet: most lines need about ten spellings. Words such as “the” count once you’ve added them
          below, with the words that have an odd part.
        </p>
      ) : (
        <ListOf lines={first} remove={remove} />
      )}
      {rest.length > 0 && (
        <Collapsible title={rest.length === 1 ? 'One more line' : `${rest.length} more lines`}>
          <ListOf lines={rest} remove={remove} />
        </Collapsible>
      )}
      <form
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <div className="w-96 max-w-full">
          <Field htmlFor="own-line" label="A line of your own">
            <input
              id="own-line"
              className="field w-full font-word text-lg"
              maxLength={80}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </Field>
        </div>
        <Button type="submit" disabled={running || !text.trim()}>
          Keep this line
        </Button>
      </form>
      <p role="status" className="mt-2 text-green">
        {said}
      </p>
      <ErrorMessage>{error}</ErrorMessage>
    </Section>
  );
}

interface ListOfProps {
  readonly lines: Lines;
  readonly remove: (id: string) => void;
}

const ListOf = ({ lines, remove }: ListOfProps) => (
  <ul className="mt-2 grid gap-x-10 sm:grid-cols-2">
    {lines.map(({ text, own }) => (
      <li key={text} className="flex min-h-12 items-center justify-between border-t border-line font-word text-xl">
        {text}
        {own !== null && (
          <button
            type="button"
            aria-label={`Take away “${text}”`}
            className="grid size-12 place-items-center rounded-full text-muted hover:text-ink"
            onClick={() => remove(own)}
          >
            <X aria-hidden="true" size={18} />
          </button>
        )}
      </li>
    ))}
  </ul>
);
