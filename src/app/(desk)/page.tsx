import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { listSessions } from '@/server/sessions/look-back';
import { breakOf } from '@/server/children/week-back';
import { whoWithWhom } from '@/server/children/who-with-whom';
import { readySessions } from '@/server/plans/today';
import { MAIN_ACCENTS } from '@/core/phonology/accents';
import { getSettings } from '@/server/setting/settings';
import { backupNotice } from '@/server/whole/backups';
import { FirstRun } from '@/ui/today/first-run';
import { TodayScreen } from '@/ui/today/today-screen';

export default guarded(async () => {
  const group = await currentGroup();
  const [sessions, ready, { accent, confirmed }] = await Promise.all([
    listSessions(group.id, 6),
    readySessions(group),
    getSettings(),
  ]);
  // What is advised has been read once by then.
  const [who, rest, backup] = [await whoWithWhom(group), await breakOf(group.id), await backupNotice()];
  const begun = confirmed || sessions.length > 0 || group.children.length > 0 || group.outOfSight.length > 0;
  return (
    <TodayScreen group={group} sessions={sessions} ready={ready} who={who} isBack={rest !== null} backup={backup}>
      {!begun && (
        <FirstRun
          groupId={group.id}
          accent={accent}
          accents={MAIN_ACCENTS.map(({ id, name }): [string, string] => [id, name])}
        />
      )}
    </TodayScreen>
  );
});
