/** Every sentence of this room, file by file: read it aloud before you change it. */

export const groups = {
  ourGroup: 'Our group',
  groupMoreNames: 'That group isn’t here any more. The names haven’t been added.',
  tracesLeft:
    'That’s erased. Some traces are still in the file beside your data, because it was being read. Stop Bouncy Echo once and they’ll be gone too.',
  childListMore: 'That child isn’t in the list any more.',
  groupMore: 'That group isn’t here any more.',
  twoGroups: 'Choose another group to combine it with.',
  choosePlant: 'Choose one of the plants shown.',
  chooseAgesList: 'Choose one of the ages in the list.',
} as const;
