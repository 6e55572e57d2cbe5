import type { Judged } from './judge';

/** Answers the core can judge from sounds. Apart from judging, so that a screen can ask without all that judges. */
export const canJudge = (judged: Judged): boolean => ['sounds', 'rhyme', 'begins', 'parts'].includes(judged.by);
