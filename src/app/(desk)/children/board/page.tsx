import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { findGames, firstToFind } from '@/core/choosing/finding';
import { LADDERS } from '@/core/evidence/ladders';
import { boardRows } from '@/server/children/board';
import { whoWithWhom } from '@/server/children/who-with-whom';
import { BoardScreen } from '@/ui/children/board-screen';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';

export const metadata: Metadata = { title: 'Everyone’s steps' };
export const dynamic = 'force-dynamic';

export default guarded(async () => {
  const group = await currentGroup();
  const [rows, who] = await Promise.all([boardRows(group), whoWithWhom(group)]);
  return (
    <>
      <SubNav label="Children" places={CHILD_PLACES} here="/children/board" />
      <BoardScreen
        groupName={group.name}
        ladders={LADDERS.map(({ id, name }) => ({ id, name }))}
        rows={rows}
        who={who}
        groupId={group.id}
        games={findGames()}
        first={firstToFind([], false)}
      />
    </>
  );
});
