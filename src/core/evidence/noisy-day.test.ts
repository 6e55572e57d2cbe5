import { expect, test } from 'vitest';
import { readRuns } from '../testing/seen';
import type { StepRun } from './evidence';
import { keptMarks, marksKept } from './reading';
import { couldBeRoom, roomsIn, withRoom } from './noisy-day';
import { sure } from '../sure';

const of = (...texts: string[]): Map<string, StepRun[]> => new Map(texts.map((t, i) => [`c${i}`, readRuns(t)]));
const WELL = 'blending 3-clip 1111 9';

// Common practice, no source.
test.each([
  ['three miss what each could do', ['0000', '0h00', '0001'], [WELL, WELL, WELL], true],
  ['two are too few', ['0000', '0000'], [WELL, WELL], false],
  ['one of them managed as before', ['0000', '0000', '1111'], [WELL, WELL, WELL], false],
  [
    'nobody could do it before',
    ['0000', '0000', '0000'],
    ['blending 3-clip 0010 9', '', 'blending 3-clip 00 9'],
    false,
  ],
  ['nobody had played it before', ['0000', '0000', '0000'], ['', '', ''], false],
  ['silence is not missing', ['----', '----', '----'], [WELL, WELL, WELL], false],
])('%s', (_, today, before, room) => {
  const session = of(...today.map((marks) => `blending 3-clip ${marks} 0`));
  expect(roomsIn(session, of(...before)).has('blending/3-clip')).toBe(room);
});

test('only its own answers are marked, and it is asked for no more than it must', () => {
  const session = of(
    'blending 3-clip 0000 0, rhyme-pairs far 1111 0',
    'blending 3-clip 0000 0',
    'blending 3-clip 000 0',
  );
  expect(couldBeRoom(session)).toBe(true);
  expect(couldBeRoom(of('blending 3-clip 1100 0', 'blending 3-clip 0000 0', 'blending 3-clip 0011 0'))).toBe(false);
  const rooms = roomsIn(session, of(WELL, WELL, WELL));
  expect(sure(session.get('c0')).map((r) => withRoom(r, rooms).standing)).toEqual(['room', 'fresh']);
});

test('marks are kept with what is open behind them, and read back as they were', () => {
  for (const run of [{ marks: '110h-' }, { marks: '1u0u', open: ['r opening after|l last', 'k first'] }])
    expect(marksKept(keptMarks(run))).toEqual(run);
});
