import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Outlet, useParams } from 'react-router';
import { useGroup, useLiveGroup } from '../features/session';
import { Failed, NoticeContext, Waiting, type Notice } from '../ui';
import { LeftForLater } from './LeftForLater';
import { Notices } from './Notices';
import { TopLine } from './TopLine';

/** What stands around every place of a group. */
export function Frame() {
  const { group = '' } = useParams();
  const [notice, setNotice] = useState<Notice | null>(null);
  const found = useGroup(group);
  useLiveGroup(group, useQueryClient());
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the group" />;
  return (
    <NoticeContext value={setNotice}>
      <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] lg:grid-rows-[46px_minmax(0,1fr)]">
        <a href="#main" className="act act-main absolute -top-20 left-2 z-20 focus:top-2">
          To the content
        </a>
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
        <Notices group={group} notice={notice} onDone={setNotice} />
      </div>
    </NoticeContext>
  );
}
