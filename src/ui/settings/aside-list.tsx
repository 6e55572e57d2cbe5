import { AsideButton } from '../words/aside-button';

interface AsideListProps {
  readonly groupId: string;
  readonly groupName: string;
  readonly words: readonly string[];
}

/** Words a group has put aside, each to be brought back. */
export function AsideList({ groupId, groupName, words }: AsideListProps) {
  return (
    <section id="aside" aria-labelledby="aside-h" className="mt-14 max-w-4xl scroll-mt-4">
      <h2 id="aside-h" className="text-3xl">
        Words put aside
      </h2>
      <p className="mt-1 mb-3 text-lg text-muted">
        {words.length
          ? `No game offers these words to ${groupName}. Nobody else sees the reason.`
          : `No words are put aside for ${groupName}. You can put a word aside from its page, a word set, a plan, ` +
            'or while you play.'}
      </p>
      {words.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {words.map((word) => (
            <li key={word}>
              <AsideButton groupId={groupId} groupName={groupName} word={word} aside />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
