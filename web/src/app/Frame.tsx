import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Outlet, useParams } from 'react-router';
import { useGroup, useLiveGroup } from '../features/session';
import { useVisit } from '../features/today';
import { Failed, keepFocus, NoticeContext, Waiting } from '../ui';
import { LeftForLater } from './LeftForLater';
import { Notices } from './Notices';
import { SkipLinks } from './SkipLinks';
import { TopLine } from './TopLine';
import { useUndo } from './useUndo';

/** What stands around every place of a group. */
export function Frame() {
  const { group = '' } = useParams();
  const { notice, tell, back, left, close } = useUndo(group);
  const found = useGroup(group);
  useLiveGroup(group, useQueryClient());
  useVisit(group, found.data?.today);
  useEffect(() => keepFocus(), []);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the group" />;
  return (
    <NoticeContext value={tell}>
      <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] lg:grid-rows-[46px_minmax(0,1fr)]">
        <SkipLinks />
        <TopLine group={found.data} />
        <main id="main" className="relative min-h-0" tabIndex={-1}>
          <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
            <div>
              <LeftForLater group={group} />
            </div>
            <div className="relative min-h-0">
              <Outlet context={found.data} />
            </div>
          </div>
        </main>
        <Notices notice={notice} left={left} onBack={back} onClose={close} />
      </div>
    </NoticeContext>
  );
}
