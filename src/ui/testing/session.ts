import { NO_OWN_WAY } from '@/core/answers/own-way';
import { stepOf, taskOf } from '@/core/games';
import { makeItem } from '@/core/games/item';
import { material } from '@/core/testing/bank';
import type { Way } from '@/core/sessions/running-order';
import type { PlayRound, PlaySession } from '@/server/sessions/play-session';

const WORDS = ['sun', 'map', 'leg', 'net', 'pin', 'bus'];
const SPARES = ['hat', 'dog', 'cup'];

/** A round of blending three sounds, ready to be played. */
function roundOf(way: Way): PlayRound {
  const task = taskOf('blending');
  const bank = material();
  const items = Object.fromEntries(
    [...WORDS, ...SPARES].map((key) => [key, makeItem(task, stepOf(task, '3'), key, bank)]),
  );
  return {
    role: '',
    task: 'blending',
    family: 'Blending',
    name: 'Blending',
    step: '3 sounds',
    gesture: '',
    reminder: '',
    scoresSounds: true,
    routine: ['my-turn', 'your-turn'],
    inOrder: false,
    way,
    inAccents: {},
    rightFor: {},
    spares: SPARES,
    own: [],
    model: 'net',
    opening: '',
    ask: '{sounds}',
    gap: 1,
    names: false,
    items,
  };
}

/** A session as Play gets it, with so many children called a, b, c …, and one of the group who may still come. */
export function sessionOf(children = 3, ways: readonly Way[] = ['individual', 'individual']): PlaySession {
  const ids = Array.from({ length: children }, (_, i) => String.fromCharCode(97 + i));
  return {
    id: 's',
    title: 'Radishes',
    letters: false,
    groupName: 'Radishes',
    accent: 'southern-british',
    mixed: false,
    children: ids.map((id) => ({ id, name: id.toUpperCase(), ownWay: NO_OWN_WAY, plant: null })),
    others: [{ id: 'z', name: 'Z', ownWay: NO_OWN_WAY, plant: null }],
    habits: {},
    pebbles: { checks: {}, more: {}, open: {}, settled: {} },
    plan: {
      rounds: ways.map((way) => ({ words: WORDS, turns: 2 * children, way, inOrder: false })),
      children: ids,
    },
    rounds: ways.map(roundOf),
    minutes: 8,
    startedAt: 0,
    log: [],
  };
}
