import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { listSessions } from '@/server/look-back';
import { tomorrowFor } from '@/server/progress';
import { readySessions } from '@/server/today';
import { TodayScreen } from '@/ui/today/today-screen';

export default guarded(async () => {
  const group = await currentGroup();
  const [sessions, ready, tomorrow] = await Promise.all([
    listSessions(group.id, 6),
    readySessions(group),
    tomorrowFor(group),
  ]);
  return <TodayScreen group={group} sessions={sessions} ready={ready} tomorrow={tomorrow} />;
});
