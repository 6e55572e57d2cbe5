'use client';

import { keepSettings } from '@/actions/settings';
import type { Mark } from '@/core/games/view';
import { accentOf, ACCENTS, type AccentId } from '@/core/phonology/accents';
import { CONVENTION_IDS, CONVENTION_WORDS, PRESETS, type Conventions } from '@/core/phonology/conventions';
import type { AccentExamples } from '@/server/words/counting-examples';
import type { Settings } from '@/server/setting/settings';
import { BounceLine, ShapesKey } from '../kit/bounce-line';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { RadioGroup } from '../kit/radio-group';
import { SavedForm, useSaving } from './saved-form';

const soundsIn = (x: boolean, one: number, two: number) => `has ${x ? one : two}`;

interface SettingsFormProps {
  readonly settings: Settings;
  readonly accents: readonly { readonly id: AccentId; readonly name: string }[];
  readonly examples: Record<AccentId, AccentExamples>;
}

const PRESET_NAMES: readonly (readonly [keyof typeof PRESETS, string])[] = [
  ['default', 'Usual'],
  ['strict', 'Sound by sound'],
  ['letters', 'As the letters go'],
];

type GivenSettings = Omit<Settings, 'confirmed'>;

const givenIn = ({ accent, conventions, mixed, letIn }: Settings): GivenSettings => ({
  accent,
  conventions,
  mixed,
  letIn,
});

/** What was filled in, as the door reads it. */
const asked = ({ accent, conventions, mixed, letIn }: GivenSettings): Record<string, string> => ({
  accent,
  ...Object.fromEntries(CONVENTION_IDS.map((id) => [id, conventions[id] ? 'one' : 'two'])),
  ...(mixed ? { mixed: 'yes' } : {}),
  ...(letIn ? { letIn: 'yes' } : {}),
});

/** Accent and counting with examples that change as you choose. */
export function SettingsForm({ settings, accents, examples }: SettingsFormProps) {
  const usual = givenIn(settings);
  const { values, set, view } = useSaving({ place: 'how-we-count', usual, act: keepSettings, asked });
  const { accent, conventions } = values;
  const setAccent = (next: AccentId): void => set('accent', next);
  const setConventions = (next: Conventions): void => set('conventions', next);
  const main = (accentOf(accent).variant?.of ?? accent) as AccentId;
  const { counting, words, rhymes } = examples[accent];
  return (
    <SavedForm
      view={view}
      save={settings.confirmed ? 'Save how we say and count' : 'This is how we count'}
      className="max-w-4xl"
    >
      <RadioGroup
        kind="pills"
        legend={<span className="font-word text-2xl font-bold">Your accent</span>}
        value={main}
        onChange={(id) => setAccent(id as AccentId)}
        options={accents.map(({ id, name }) => ({ value: id, label: name }))}
      />
      {ACCENTS.filter(({ variant }) => variant?.of === main).map(({ id, variant }) => (
        <Checkbox
          key={id}
          checked={accent === id}
          onChange={(on) => setAccent(on ? (id as AccentId) : main)}
          label={
            <>
              We say <span className="font-word">{variant?.alike[0]}</span> and{' '}
              <span className="font-word">{variant?.alike[1]}</span> alike
            </>
          }
        />
      ))}
      <Checkbox
        checked={values.mixed}
        onChange={(on) => set('mixed', on)}
        label="People here have different accents, so a vowel from another accent counts as right"
      />
      <Checkbox
        checked={values.letIn}
        onChange={(on) => set('letIn', on)}
        label="Also offer words people use in other countries, or only in some parts of this one"
      />
      <ShapesKey />
      <Examples words={words} />
      <Rhymes rhymes={rhymes} />

      <div className="mb-3 flex flex-wrap items-center gap-2.5">
        <h2 className="mr-3 text-2xl">Counting</h2>
        {PRESET_NAMES.map(([id, name]) => (
          <Button key={id} onClick={() => setConventions(PRESETS[id])}>
            {name}
          </Button>
        ))}
      </div>
      <Counting counting={counting} conventions={conventions} setConventions={setConventions} />
      {!settings.confirmed && (
        <p className="mt-3 text-muted">Until you choose, words that people count differently stay out of the games.</p>
      )}
    </SavedForm>
  );
}

/** Pairs that rhyme in the accent chosen, and pairs that don't. */
const Rhymes = ({ rhymes }: Pick<SettingsFormProps['examples'][AccentId], 'rhymes'>) => (
  <p className="mt-2 mb-9 text-muted">
    {rhymes.map(({ pair: [a, b], rhyme }, i) => (
      <span key={a}>
        {i > 0 && ' · '}
        <Word>{a}</Word> and <Word>{b}</Word> {rhyme ? 'rhyme' : 'don’t rhyme'}
      </span>
    ))}
  </p>
);

/** Every question of counting, with a word that shows it. */
function Counting({
  counting,
  conventions,
  setConventions,
}: {
  readonly counting: AccentExamples['counting'];
  readonly conventions: Conventions;
  readonly setConventions: (next: Conventions) => void;
}) {
  return (
    <div className="divide-y divide-line border-y border-line">
      {CONVENTION_IDS.map((id) => {
        const { question, fused, apart } = CONVENTION_WORDS[id];
        const example = counting[id];
        const same = example.one === example.two;
        return (
          <div key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2.5 *:first:flex-1">
            <RadioGroup
              kind="pills"
              inline
              legend={question}
              value={conventions[id] ? 'one' : 'two'}
              onChange={(next) => setConventions({ ...conventions, [id]: next === 'one' })}
              options={[
                { value: 'one', label: fused },
                { value: 'two', label: apart },
              ]}
            />
            <p className="w-36 text-right text-muted">
              <span className="font-word text-lg text-ink">{example.word}</span>{' '}
              {soundsIn(conventions[id], example.one, example.two)}
              {same && <span className="block text-sm">the same either way here</span>}
            </p>
          </div>
        );
      })}
    </div>
  );
}

/** Words as the accent says them. */
function Examples({
  words,
}: {
  readonly words: readonly { readonly word: string; readonly marks: readonly Mark[] }[];
}) {
  return (
    <ul
      aria-label="How they sound in this accent"
      aria-live="polite"
      className="mt-4 grid gap-x-8 border-t border-line min-[520px]:grid-cols-2 md:grid-cols-3"
    >
      {words.map(({ word, marks }) => (
        <li key={word} className="flex min-h-16 items-center gap-3 border-b border-line py-1.5">
          <span className="w-16 font-word text-xl font-bold">{word}</span>
          <span className="min-w-0">
            <BounceLine marks={marks} count={marks.length} size="list" />
            <span className="font-word text-muted" aria-hidden="true">
              {marks.map((m) => m.label).join(' · ')}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}

const Word = ({ children }: { readonly children: string }) => <span className="font-word text-ink">{children}</span>;
