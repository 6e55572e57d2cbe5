import type { Help } from './outcome';
import { access as say } from './text';

/**
 * What a child always needs to hear, to see or to answer. It is set once on the child and is no help: an answer given
 * with it is the child’s own. Common practice, no source.
 */
export const ACCESS = ['said-twice', 'face', 'aid', 'signs', 'points'] as const;
export type Access = (typeof ACCESS)[number];

export const ACCESS_WORDS: Readonly<
  Record<
    Access,
    {
      /** On the child’s own form. */
      readonly name: string;
      /** In Play, after the child’s name. */
      readonly play: string;
      /** What would be a help for others. */
      readonly covers?: Help;
    }
  >
> = {
  'said-twice': { name: say.hearsEverythingTwice, play: say.hearsItTwice, covers: 'said-again' },
  face: { name: say.seesFaceWhile, play: say.seesYourFace },
  aid: { name: say.wearsHearingAid, play: say.hearingAidOn },
  signs: { name: say.signsGesturesWords, play: say.signsWords, covers: 'gesture' },
  points: { name: say.pointsInsteadSpeaking, play: say.mayPointInstead },
};

/**
 * The helps that are none for this child, because they are always so.
 * @example noHelp(['said-twice']) // ['said-again']
 */
export const noHelp = (access: readonly Access[]): Help[] => access.flatMap((a) => ACCESS_WORDS[a].covers ?? []);
