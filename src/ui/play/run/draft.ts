import type { Help } from '@/core/answers/outcome';

/** What belongs to the answer before it is marked: sounds tapped as missed, help given, a note, the pace. */
export interface Draft {
  readonly turnKey: string;
  /** Indices of the sounds tapped as missed. */
  readonly missed: readonly number[];
  readonly helps: readonly Help[];
  readonly note: string;
  /** Index of the gap between sounds. */
  readonly gap: number;
  /** Index of the sentence of a story that is being read. */
  readonly sentence: number;
}

export const EMPTY: Draft = { turnKey: '', missed: [], helps: [], note: '', gap: 0, sentence: 0 };

/** How much slower each tap of “slower” is. */
export const GAPS = [1, 1.5, 2] as const;

const runDraftKey = (sessionId: string): string => `bouncy-echo-draft-${sessionId}`;

/** The draft this tab kept before a reload; an empty one where it kept none, or none that can be read. */
export function keptDraft(sessionId: string): Draft {
  try {
    return { ...EMPTY, ...(JSON.parse(sessionStorage.getItem(runDraftKey(sessionId)) ?? '{}') as Partial<Draft>) };
  } catch {
    return EMPTY;
  }
}

/** Keeps the draft for a reload of the tab. A browser that keeps nothing loses it with the page, and nothing else. */
export function keepDraft(sessionId: string, draft: Draft): void {
  try {
    sessionStorage.setItem(runDraftKey(sessionId), JSON.stringify(draft));
  } catch {
    // Full or not allowed: the draft lives as long as the page.
  }
}
