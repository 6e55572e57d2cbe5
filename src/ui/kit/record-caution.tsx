import { leadIn } from '@/core/lexicon/country';
import type { AccentId } from '@/core/phonology/accents';

/** What a record of a child is not, and whom to ask about a worry. */
export function RecordCaution({ accent }: { readonly accent: AccentId }) {
  return (
    <p className="text-[0.95rem] text-muted">
      This is a teaching record, not a diagnosis, and no reply doesn’t mean they don’t know. If you’re worried about a
      child’s hearing, speech or language, talk to the family and your {leadIn(accent)}. Assessment is for a speech and
      language therapist or an audiologist. Your local policy comes first.
    </p>
  );
}
