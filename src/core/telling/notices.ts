import { taskOf } from '../games';
import { listed } from '../in-words';
import type { ChildAdvice } from '../choosing/advice';

type Told = Pick<ChildAdvice, 'talk' | 'open' | 'replies' | 'hearing' | 'newWith' | 'rooms'>;

/** What to know before anything is played: when it holds, and how it is said. None of it names a condition. */
const NOTICES: readonly {
  readonly holds: (advice: Told) => boolean;
  readonly says: (advice: Told, spotOf: (key: string) => string, lead: string) => string;
}[] = [
  {
    holds: ({ talk }) => talk,
    says: ({ open }, spotOf, lead) =>
      'On two days they couldn’t tell words apart by ' +
      `${listed(open.filter((o) => o.verdict === 'talk').map((o) => spotOf(o.key)))}. Speak with ` +
      `the family and your ${lead}: a hearing check is wise. Words with two sounds together can wait.`,
  },
  {
    holds: ({ hearing }) => hearing,
    says: () =>
      'In three different weeks, at least half of what they got right came after hearing it again, or with your face ' +
      'in sight. It’s worth asking the family about hearing.',
  },
  {
    holds: ({ newWith }) => newWith !== null,
    says: ({ newWith }) =>
      `At home they speak ${newWith}, and they’ve played here for less than three months. What they miss may be ` +
      'words they don’t know yet: show each word first, and ask the family what they can do in their own language.',
  },
  {
    holds: ({ replies }) => replies === 'hardly',
    says: () => 'Often gives no reply, which doesn’t tell us what they know. Try pairs, pictures or pointing.',
  },
  {
    holds: ({ replies }) => replies === 'alone',
    says: () =>
      'Hardly replies in the group, but answers when it’s just the two of you. For now, play a few turns with just ' +
      'this child.',
  },
  {
    holds: ({ rooms }) => rooms.length > 0,
    says: ({ rooms }) =>
      `Everyone found ${listed(rooms.map((task) => taskOf(task).name.toLowerCase()))} hard on one day, so we think ` +
      'it was the room: those answers don’t count for anyone.',
  },
];

/**
 * What to know of a child first, in whole sentences; only what holds is said.
 * @param spotOf a sound and place in words
 * @param lead whom to ask about a worry (`leadIn`)
 */
export const noticesOf = (advice: Told, spotOf: (key: string) => string, lead: string): string[] =>
  NOTICES.filter(({ holds }) => holds(advice)).map(({ says }) => says(advice, spotOf, lead));
