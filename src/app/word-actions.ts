'use server';

import { z } from 'zod';
import { proposeWord, removeOwnWord, saveOwnWord, soundsFromTaps, type WordProposal } from '@/server/own-words';
import { setOwned } from '@/server/props';
import { saveTaught } from '@/server/taught';
import { copySet, eraseSet, importSet, reportOnFile, saveSet, type ImportReport } from '@/server/word-sets';
import { answer, type Answer } from './answered';

const text = z.string().max(300_000).catch('');
const words = z.array(z.string().max(40)).max(200).catch([]);
const taps = z.array(z.string().max(10)).max(40).catch([]);

export const keepSet = async (name: unknown, list: unknown, id?: unknown): Promise<Answer<string>> =>
  answer(() =>
    saveSet({ name: text.parse(name), words: words.parse(list) }, id === undefined ? undefined : text.parse(id)),
  );

export const copyTheSet = async (id: unknown): Promise<Answer<string>> => answer(() => copySet(text.parse(id)));

export const eraseTheSet = async (id: unknown): Promise<Answer<void>> => answer(() => eraseSet(text.parse(id)));

export const lookAtFile = async (content: unknown, name: unknown): Promise<Answer<ImportReport>> =>
  answer(() => reportOnFile(text.parse(content), text.parse(name)), false);

export const importFile = async (content: unknown, name: unknown): Promise<Answer<string>> =>
  answer(() => importSet(text.parse(content), text.parse(name)));

export const lookUpWord = async (typed: unknown): Promise<Answer<WordProposal>> =>
  answer(() => proposeWord(text.parse(typed)), false);

export const tappedSounds = async (typed: unknown, keys: unknown, strong: unknown): ReturnType<typeof tapped> =>
  tapped(typed, keys, strong);
const tapped = (typed: unknown, keys: unknown, strong: unknown) =>
  answer(
    () => soundsFromTaps(text.parse(typed), taps.parse(keys), z.int().min(0).max(12).catch(0).parse(strong)),
    false,
  );

export const keepOwnWord = async (own: unknown): Promise<Answer<string>> => answer(() => saveOwnWord(own));

export const removeTheWord = async (word: unknown): Promise<Answer<void>> =>
  answer(() => removeOwnWord(text.parse(word)));

export const own = async (word: unknown, owned: unknown): Promise<Answer<void>> =>
  answer(() => setOwned(text.parse(word), owned === true));

export const keepTaught = async (groupId: unknown, sounds: unknown): Promise<Answer<void>> =>
  answer(() => saveTaught(text.parse(groupId), sounds));
