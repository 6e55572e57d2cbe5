import { AsideButton } from '../words/aside-button';
import { asideList as say } from './text';

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
        {say.wordsPutAside}
      </h2>
      <p className="mt-1 mb-3 text-lg text-muted">
        {words.length ? say.noGameOffers(groupName) : say.nonePutWord(groupName)}
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
