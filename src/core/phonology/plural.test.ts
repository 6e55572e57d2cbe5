import { expect, test } from 'vitest';
import { pluralAfter } from './plural';

// Quirk et al., A Comprehensive Grammar of English (1985), 5.80; from memory.
test.each([
  ['cats', 't', 's'],
  ['moths', 'θ', 's'],
  ['dogs', 'ɡ', 'z'],
  ['bees', 'iː', 'z'],
  ['buses', 's', 'ɪ z'],
  ['bridges', 'dʒ', 'ɪ z'],
])('%s: after /%s/ comes /%s/', (_word, last, ending) => expect(pluralAfter(last).join(' ')).toBe(ending));
