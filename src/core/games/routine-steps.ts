/**
 * The steps of one item: who speaks. Only the child’s own turn is marked; what the adult or everyone said before is
 * kept with it.
 */
export const ROUTINE_STEPS = ['say-back', 'my-turn', 'together', 'your-turn', 'join'] as const;
export type RoutineStep = (typeof ROUTINE_STEPS)[number];

export const ROUTINE_WORDS: Readonly<Record<RoutineStep, string>> = {
  'say-back': 'Say it back',
  'my-turn': 'Me',
  together: 'All of us',
  'your-turn': 'You',
  join: 'Join it up',
};
