import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { sentencesIn, type Written } from './literals';

const SRC = path.resolve(import.meta.dirname, '../..');

/** Rooms in which sentences stand, each beside what it is about. */
const ROOMS = [
  ...['ui', 'app', 'actions', 'server', 'core/answers', 'core/formats', 'core/sessions'],
  ...['core/evidence', 'core/choosing', 'core/telling'],
  ...['core/games', 'core/phonology/how-made.ts', 'core/phonology/conventions.ts', 'core/phonology/sounds.ts'],
  ...['core/lexicon/cautions.ts', 'core/lexicon/country.ts'],
];

/** Not for practitioners: columns of files, commands for developers, the database, what tests need. */
const OTHERS = [
  /core\/formats\/(child-file|session-export|items-read|words-list)\.ts$/,
  /core\/answers\/letter-names\.ts$/,
  /storage\/(migrations\/|models|rows|plain)/,
  /\/testing\//,
];

const filesIn = (place: string): string[] =>
  /\.tsx?$/.test(place)
    ? [place]
    : readdirSync(path.join(SRC, place), { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
        .map((file) => `${place}/${file}`)
        .sort();

/** Every sentence that is read on a screen or on paper, file by file. */
export const rooms = (): { readonly file: string; readonly sentences: Written[] }[] =>
  ROOMS.flatMap(filesIn)
    .filter((file) => !OTHERS.some((other) => other.test(file)))
    .map((file) => ({ file, sentences: sentencesIn(readFileSync(path.join(SRC, file), 'utf8'), file) }))
    .filter(({ sentences }) => sentences.length > 0);

/** The same as text, to be read through. */
export const roomsToRead = (): string =>
  rooms()
    .map(({ file, sentences }) => [`== ${file}`, ...sentences.map((s) => `  ${s.line}: ${s.text}`)].join('\n'))
    .join('\n\n')
    .concat('\n');
