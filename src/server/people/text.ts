/** Every sentence of this room, file by file: read it aloud before you change it. */

export const groups = {
  ourGroup: 'Our group',
  groupMoreNames: 'That group is not here any more. The names have not been added.',
  childListMore: 'That child is not in the list any more.',
  groupMore: 'That group is not here any more.',
  chooseAgesList: 'Choose one of the ages in the list.',
} as const;
