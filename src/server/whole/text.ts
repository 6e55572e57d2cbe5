/** Every sentence of this room, file by file: read it aloud before you change it. */

export const everything = {
  setPath: (name: string) => `word sets/${name}.json`,
  asMarked: (id: string) => `Session ${id} could not be read; the archive has it as it was marked:`,
  groupHeads: ['id', 'name', 'ages', 'children'],
  childHeads: ['id', 'name', 'group', 'own id', 'added', 'out of sight since'],
  readMe: (when: string) => `Everything in Bouncy Echo, taken out on ${when}.

groups.csv, children.csv  who is on which list, and who is out of sight
children/                 a file for each child, with everything about them
sessions/                 each session twice: JSON for a program, CSV for a spreadsheet
plans/, word sets/        as they are shared; both can be brought in again

This is about children. Keep it as your setting’s rules ask, and delete it when you no longer need it.
A child who is erased in Bouncy Echo is still in this file.
`,
} as const;

export const quickFind = {
  shorter: 'Type up to 60 letters.',
  outOfSight: (group: string) => `${group}, off the list`,
  asIn: (word: string) => `as in ${word}`,
  months: [
    'January',
    'February',
    'March',
    'April',
    'May',
    'June',
    'July',
    'August',
    'September',
    'October',
    'November',
    'December',
  ],
  /** Where it is, what the screen is called, and other words that people look for it by. */
  places: [
    ['/', 'Today', 'ready next start door tomorrow'],
    ['/words', 'Find words', 'word set search rhyme sounds'],
    ['/words/sets', 'Our sets', 'word sets saved print cards import'],
    ['/words/shelf', 'Prop shelf', 'objects things toys props'],
    ['/words/new', 'Add words', 'own word new'],
    ['/plan', 'Plan', 'session plans minutes'],
    ['/look-back', 'Look back', 'sessions answers history paper grid type in'],
    ['/children', 'Names', 'children add register class list move group plant'],
    ['/children/board', 'Where everyone is', 'board steps next half-term'],
    ['/children/ears', 'Two adults, same ears?', 'agreement second adult'],
    ['/sounds', 'Sounds', 'chart how to say phonemes'],
    ['/settings', 'How we say and count', 'settings accent counting convention'],
    ['/settings/judging', 'Judging', 'settings secure rule adults staff order'],
    ['/settings/taught', 'Sounds we’ve taught', 'settings taught words put aside'],
    ['/settings/device', 'This device', 'settings dim nap initials left hand thinking time tick keys'],
    ['/settings/our-data', 'Our data', 'settings backup export download everything zip file'],
  ],
} as const;
