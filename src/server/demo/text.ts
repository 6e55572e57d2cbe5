/** Every sentence of this room, file by file: read it aloud before you change it. */

/** What an adult of the allotment nursery jots down beside an answer. Invented. */
export const notes = {
  'on-own': ['Whispered it to the scarecrow first.', 'So pleased with this one!'],
  'with-help': ['Needed to hear it twice today.', 'Watched my face closely.'],
  'not-yet': ['It was loud by the door.', 'Still a bit sleepy.'],
  'no-reply': ['Very quiet this morning.', 'Was looking at the robin.'],
  'does-not-count': ['The watering can fell over.'],
} as const;
