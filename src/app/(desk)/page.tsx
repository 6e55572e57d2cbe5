import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { listSessions } from '@/server/look-back';
import { readySessions } from '@/server/today';
import { TodayScreen } from '@/ui/today/today-screen';

export default guarded(async () => {
  const group = await currentGroup();
  const [sessions, ready] = await Promise.all([listSessions(group.id, 6), readySessions(group)]);
  return <TodayScreen group={group} sessions={sessions} ready={ready} />;
});
