import type { Help } from './outcome';

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
  'said-twice': { name: 'Needs to hear everything twice', play: 'hears it twice', covers: 'said-again' },
  face: { name: 'Needs to see your face while you speak', play: 'sees your face' },
  aid: { name: 'Wears a hearing aid or implant: check it’s switched on', play: 'hearing aid on' },
  signs: { name: 'Uses signs or gestures with the words', play: 'uses signs with the words', covers: 'gesture' },
  points: { name: 'Can point instead of speaking', play: 'can point instead of speaking' },
};

/**
 * The helps that are none for this child, because they are always so.
 * @example noHelp(['said-twice']) // ['said-again']
 */
export const noHelp = (access: readonly Access[]): Help[] => access.flatMap((a) => ACCESS_WORDS[a].covers ?? []);
