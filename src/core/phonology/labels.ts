import type { VowelKey } from './keys';

/** How a sound is written for a practitioner and, where two share a label, a word that tells them apart. */
export interface Label {
  readonly label: string;
  readonly as?: string;
}

export type SetLabel = readonly [set: VowelKey, label: string, as?: string];

/**
 * Plain labels for vowels, as a practitioner would write the sound, in order of claim: where an accent says two sets
 * alike (*book* and *cup* in Northern English) the sound has the label of the first.
 */
export const USUAL_LABELS: readonly SetLabel[] = [
  ['KIT', 'i'],
  ['FACE', 'ay'],
  ['DRESS', 'e'],
  ['TRAP', 'a'],
  ['LOT', 'o'],
  ['STRUT', 'u'],
  ['FOOT', 'oo', 'book'],
  ['GOOSE', 'oo', 'moon'],
  ['START', 'ar'],
  ['NORTH', 'or'],
  ['FIR', 'ur'],
  ['NEAR', 'ear'],
  ['SQUARE', 'air'],
  ['CURE', 'ure'],
  ['THOUGHT', 'aw'],
  ['PALM', 'ah'],
  ['FLEECE', 'ee'],
  ['GOAT', 'oa'],
  ['PRICE', 'igh'],
  ['CHOICE', 'oy'],
  ['MOUTH', 'ow'],
  ['commA', 'uh', 'banana'],
  ['lettER', 'er'],
  ['happY', 'ee'],
  ['FERN', 'er'],
  ['FUR', 'ur'],
  ['FORCE', 'or'],
  ['BATH', 'a'],
  ['CLOTH', 'o'],
];
