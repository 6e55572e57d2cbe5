import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { accentOf, ACCENT_IDS, ACCENTS, type AccentId } from '../phonology/accents';
import { realise, type Entry } from './entry';
import { bank } from '../testing/bank';
import { REFERENCES, type Reference } from '../testing/references';
import { sure } from '../sure';

// Every entry against the CMU Pronouncing Dictionary (all readings) and the eSpeak NG voices of `phonemizer`.
// Two independent references for General American, one for Southern British. The folding stands in testing/references.

interface Difference {
  readonly reference: string;
  readonly accent: AccentId;
  readonly word: string;
  readonly ours: string;
  readonly theirs: string;
}
interface Comparison {
  readonly reference: string;
  readonly accent: AccentId;
  readonly covered: number;
  /** The share covered of the words that are said on both sides of the sea: an American dictionary has no *lorry*. */
  readonly coveredShared: number;
  readonly agreed: number;
  readonly differences: readonly Difference[];
}

const ipaOf = (entry: Entry, accent: AccentId): string[] => realise(entry, accent).map((s) => s.ipa);

async function compare(
  entries: readonly Entry[],
  reference: Reference,
  sounds = (entry: Entry) => ipaOf(entry, reference.accent),
): Promise<Comparison> {
  const differences: Difference[] = [];
  let covered = 0;
  const shared = entries.filter(({ where }) => where !== 'gb');
  let sharedCovered = 0;
  for (const entry of entries) {
    const theirs = await reference.read(entry.word);
    if (!theirs.length) continue;
    covered += 1;
    if (entry.where !== 'gb') sharedCovered += 1;
    const ours = reference.fold(sounds(entry));
    if (!theirs.includes(ours))
      differences.push({
        reference: reference.id,
        accent: reference.accent,
        word: entry.word,
        ours,
        theirs: theirs.join(' | '),
      });
  }
  return {
    reference: reference.id,
    accent: reference.accent,
    covered,
    coveredShared: sharedCovered / shared.length,
    agreed: covered - differences.length,
    differences,
  };
}

const reviewed = readFileSync('lexicon/reviewed.tsv', 'utf8')
  .split('\n')
  .slice(1)
  .filter(Boolean)
  .map((line) => {
    const [reference = '', word = '', reason = ''] = line.split('\t');
    return { reference, word, reason };
  });
const isReviewed = (d: Difference): boolean =>
  reviewed.some((r) => r.reference === d.reference && r.word === d.word && r.reason.length > 20);

test('every entry agrees with every reference, or its difference is reviewed with a reason', async () => {
  const comparisons = await Promise.all(REFERENCES.map((reference) => compare(bank, reference)));
  const all = comparisons.flatMap((c) => c.differences);
  const table = [
    '# Verification of the word bank',
    '',
    `${bank.length} entries in ${ACCENT_IDS.length} accents: ` +
      `${comparisons.reduce((n, c) => n + c.covered, 0)} comparisons of a whole word, sound by sound, ` +
      `${all.length} of which differ; each of those stands in lexicon/reviewed.tsv with its reason ` +
      `(${reviewed.length} lines; a line holds for an accent and its variant).`,
    '',
    '| reference | accent | covered | agree | differ, all reviewed |',
    '|---|---|---|---|---|',
    ...comparisons.map(
      (c) =>
        `| ${c.reference} | ${c.accent} | ${c.covered} of ${bank.length} | ` +
        `${((100 * c.agreed) / c.covered).toFixed(2)} % | ${c.differences.length} |`,
    ),
    '',
    'The folding each comparison allows stands in src/core/testing/references.ts. The three British voices ' +
      'are one program and share its slips.',
    '',
  ].join('\n');
  console.log(
    table,
    all.filter((d) => !isReviewed(d)),
  );
  await expect(table).toMatchFileSnapshot('../../../docs/verification.md');

  for (const c of comparisons) {
    expect(c.agreed / c.covered, c.reference).toBeGreaterThanOrEqual(0.97);
    expect(c.coveredShared, `${c.reference} covers`).toBeGreaterThanOrEqual(0.97);
  }
  expect(all.filter((d) => !isReviewed(d))).toEqual([]);
  // A reviewed line that no longer differs is stale.
  expect(all.length).toBeLessThanOrEqual(0.03 * comparisons.reduce((n, c) => n + c.covered, 0));
  expect(reviewed.filter((r) => !all.some((d) => d.word === r.word && d.reference === r.reference))).toEqual([]);
  for (const accent of ACCENT_IDS)
    expect(
      REFERENCES.filter((r) => r.accent === accent).map((r) => r.id),
      accent,
    ).toEqual(accentOf(accent).references);
  expect(ACCENTS.every((accent) => accent.references.length > 0)).toBe(true);
});

// The check has to be able to fail: spoil the bank in three ways and see it caught.
const mutations: readonly { name: string; spoil: (sounds: string[]) => string[]; least: number }[] = [
  {
    name: 'a strong vowel is swapped',
    spoil: (s) =>
      s.map(
        (x) =>
          ({
            æ: 'ʌ',
            iː: 'ɪ',
            i: 'ɛ',
            ɛ: 'æ',
            aɪ: 'eɪ',
            ɒ: 'ʌ',
            ɑ: 'ʌ',
            ɔː: 'ɒ',
            eɪ: 'aɪ',
            a: 'e',
            e: 'a',
            ɪ: 'i',
            ʊ: 'ɒ',
            ʌ: 'ɑ',
            ɔ: 'ʌ',
            eː: 'aɪ',
            oː: 'aʊ',
            o: 'ʌu',
            ai: 'e',
          })[x] ?? x,
      ),
    least: 0.35,
  },
  { name: 'the last consonant is dropped', spoil: (s) => s.slice(0, -1), least: 0.99 },
  { name: 'voicing is swapped', spoil: (s) => s.map((x) => ({ s: 'z', t: 'd', p: 'b', k: 'ɡ' })[x] ?? x), least: 0.5 },
];

test.each(mutations)('a bank in which $name is caught', async ({ spoil, least }) => {
  for (const reference of REFERENCES) {
    const { covered, agreed } = await compare(bank, reference, (entry) => spoil(ipaOf(entry, reference.accent)));
    expect(1 - agreed / covered, reference.id).toBeGreaterThanOrEqual(least);
  }
});

test('one accent’s bank handed to another is caught', async () => {
  for (const reference of REFERENCES) {
    const other = sure(ACCENT_IDS.find((id) => id !== reference.accent));
    const { covered, agreed } = await compare(bank, reference, (entry) => ipaOf(entry, other));
    expect(agreed / covered, reference.id).toBeLessThan(0.75);
  }
});
