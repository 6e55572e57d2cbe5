'use client';

import { useState, useTransition } from 'react';
import { switchLetters } from '@/actions/words';
import { ErrorMessage } from '../kit/message';
import { Section } from '../kit/section';
import { Switch } from '../kit/switch';
import { unreached } from '../kit/unreached';

interface LettersSwitchProps {
  readonly groupId: string;
  readonly groupName: string;
  readonly on: boolean;
}

/** Whether a group works with letters: off until somebody says so, and what it was taught stays. */
export function LettersSwitch({ groupId, groupName, on }: LettersSwitchProps) {
  const [error, setError] = useState('');
  const [, begin] = useTransition();
  const change = (next: boolean): void =>
    begin(async () => {
      const answer = await switchLetters(groupId, next).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : answer.error);
    });
  return (
    <Section id="letters-h" title="Letters" heading="text-3xl" className="mt-14 max-w-4xl">
      <p className="mt-1 text-lg text-muted">
        {on
          ? `Switch this off and ${groupName} will have the spoken games only. What you’ve ticked stays.`
          : `When ${groupName} is ready, you can tick the spellings you’ve taught and ask for words they can read.`}
      </p>
      <Switch label={`${groupName} works with letters too`} on={on} onChange={change} />
      <ErrorMessage>{error}</ErrorMessage>
    </Section>
  );
}
