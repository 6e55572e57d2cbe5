import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { listSessions } from '@/server/sessions/look-back';
import { tomorrowFor } from '@/server/children/progress';
import { readySessions } from '@/server/plans/today';
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
