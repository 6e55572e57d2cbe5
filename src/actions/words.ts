'use server';

import { z } from 'zod';
import * as ownWords from '@/server/words/own-words';
import { setOwned } from '@/server/words/props';
import { putAside } from '@/server/words/put-aside';
import * as letters from '@/server/words/letters';
import * as lines from '@/server/words/lines';
import { saveTaught, tickSound } from '@/server/words/taught';
import * as sets from '@/server/words/word-sets';
import { typedText } from './form';
import { answer, type Answer } from './answer';

const words = z.array(z.string().max(40)).catch([]);
const taps = z.array(z.string().max(10)).max(40).catch([]);
const beat = z.int().min(0).max(12).catch(0);

export async function keepSet(name: unknown, list: unknown, id?: unknown): Promise<Answer<string>> {
  const set = { name: typedText.parse(name), words: words.parse(list) };
  return answer(() => sets.saveSet(set, id === undefined ? undefined : typedText.parse(id)));
}

export async function copySet(id: unknown): Promise<Answer<string>> {
  return answer(() => sets.copySet(typedText.parse(id)));
}

export async function eraseSet(id: unknown): Promise<Answer<void>> {
  return answer(() => sets.eraseSet(typedText.parse(id)));
}

export async function lookAtFile(content: unknown, name: unknown): Promise<Answer<sets.ImportReport>> {
  return answer(() => sets.reportOnFile(typedText.parse(content), typedText.parse(name)), false);
}

export async function importFile(content: unknown, name: unknown): Promise<Answer<string>> {
  return answer(() => sets.importSet(typedText.parse(content), typedText.parse(name)));
}

export async function lookUpWord(typed: unknown): Promise<Answer<ownWords.WordProposal>> {
  return answer(() => ownWords.proposeWord(typedText.parse(typed)), false);
}

/** The word that was typed with the sounds that were tapped; `strong` is the beat said strongest, from 0. */
export async function tappedSounds(
  typed: unknown,
  keys: unknown,
  strong: unknown,
): Promise<Answer<Awaited<ReturnType<typeof ownWords.soundsFromTaps>>>> {
  return answer(() => ownWords.soundsFromTaps(typedText.parse(typed), taps.parse(keys), beat.parse(strong)), false);
}

export async function keepOwnWord(own: unknown): Promise<Answer<string>> {
  return answer(() => ownWords.saveOwnWord(own));
}

export async function removeOwnWord(word: unknown): Promise<Answer<void>> {
  return answer(() => ownWords.removeOwnWord(typedText.parse(word)));
}

/** Notes whether the setting owns the thing a word names. */
export async function keepProp(word: unknown, owned: unknown): Promise<Answer<void>> {
  return answer(() => setOwned(typedText.parse(word), owned === true));
}

/** Puts a word aside for a group, or takes it back. */
export async function keepAside(groupId: unknown, word: unknown, aside: unknown): Promise<Answer<void>> {
  return answer(() => putAside(typedText.parse(groupId), typedText.parse(word), aside === true));
}

export async function keepTaught(groupId: unknown, sounds: unknown): Promise<Answer<void>> {
  return answer(() => saveTaught(typedText.parse(groupId), sounds));
}

export async function switchLetters(groupId: unknown, on: unknown): Promise<Answer<void>> {
  return answer(() => letters.switchLetters(groupId, on));
}

export async function tickSpellings(groupId: unknown, asked: unknown): Promise<Answer<void>> {
  return answer(() => letters.tickSpellings(groupId, asked));
}

export async function typeSpellings(groupId: unknown, text: unknown): Promise<Answer<letters.AddedSpellings>> {
  return answer(() => letters.addTyped(groupId, text));
}

export async function tickWord(groupId: unknown, word: unknown, taught: unknown): Promise<Answer<void>> {
  return answer(() => letters.tickWord(groupId, word, taught));
}

export async function keepSound(groupId: unknown, keys: unknown, taught: unknown): Promise<Answer<void>> {
  return answer(() => tickSound(typedText.parse(groupId), keys, taught));
}

export async function addLine(text: unknown): Promise<Answer<void>> {
  return answer(() => lines.addLine(text));
}

export async function removeLine(id: unknown): Promise<Answer<void>> {
  return answer(() => lines.removeLine(id));
}
