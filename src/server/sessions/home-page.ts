import { format } from 'date-fns';
import { taskOf } from '../../core/games';
import { tryItem } from '../../core/games/try-item';
import { dealtKeys, playedAs } from '../../core/sessions/own-step';
import { roundOf } from '../../core/sessions/log';
import { homePage, homeText, type HomePage, type HomeWord } from '../../core/sessions/home-page';
import { hasWordOf } from '../../core/games/spec';
import { preparedBank } from '../words/bank';
import { wordsAside } from '../words/put-aside';
import { lookBack } from './look-back';

export interface HomePaper extends HomePage {
  readonly sessionId: string;
  readonly group: string;
  readonly day: string;
  readonly text: string;
}

/** The page for families after a session: of the games in which something was marked, or all where nothing was. */
export async function homePaper(sessionId: string): Promise<HomePaper> {
  const { session, answers } = await lookBack(sessionId);
  const played = new Set(answers.map((a) => roundOf(a.turn)));
  const rounds = session.rounds.filter((_, i) => !played.size || played.has(i));
  const [bank, aside] = await Promise.all([
    preparedBank(session.accent, session.conventions),
    wordsAside(session.groupId).then((words) => new Set(words)),
  ]);
  // A word that is not in the bank any more is not sent home.
  const words = rounds.flatMap((round) =>
    dealtKeys(round, session.childIds)
      .filter((key) => !hasWordOf(key, aside))
      .flatMap((key): HomeWord[] =>
        (tryItem(playedAs(round, key), key, bank).item?.words ?? []).map((w) => ({
          word: w.word,
          sounds: w.marks.map((m) => m.ipa),
        })),
      ),
  );
  const families = (answers.length ? answers : rounds).map(({ task }) => taskOf(task).family);
  const page = homePage({ families, words, accent: session.accent });
  const day = format(session.startedAt, 'd MMMM yyyy');
  return { ...page, sessionId, group: session.groupName, day, text: homeText(page, session.groupName, day) };
}
