/** What is typed in from a paper and not kept yet, on this device alone. */
export interface PaperDraft {
  readonly marks: string;
  readonly day: string;
  readonly by: string;
}

const paperDraftKey = (number: number): string => `bouncy-echo-paper-${number}`;

/** What was typed before; empty where there is nothing, or it cannot be read. */
export function draftOf(number: number): Partial<PaperDraft> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(paperDraftKey(number)) ?? '{}');
    return typeof kept === 'object' && kept !== null ? kept : {};
  } catch {
    return {};
  }
}

/** Keeps it, or lets go of it. */
export function keepDraft(number: number, draft: PaperDraft | null): void {
  try {
    if (draft) localStorage.setItem(paperDraftKey(number), JSON.stringify(draft));
    else localStorage.removeItem(paperDraftKey(number));
  } catch {
    // Kept for this page alone.
  }
}
