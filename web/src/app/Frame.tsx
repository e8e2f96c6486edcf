import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, Outlet, useLocation, useParams } from 'react-router';
import { stands } from '../api';
import { useGroup, useLiveGroup } from '../features/session';
import { useVisit } from '../features/today';
import { Failed, keepFocus, NoticeContext, Waiting } from '../ui';
import { LeftForLater } from './LeftForLater';
import { Notices } from './Notices';
import { SkipLinks } from './SkipLinks';
import { TopLine } from './TopLine';
import { Unsent } from './Unsent';
import { useUndo } from './useUndo';

/** Places that somebody can open who was asked to single folders. */
const OUTSIDE = ['folders', 'f', 'p', 'account', 'help'];

/** What stands around every place of a group. */
export function Frame() {
  const { group = '' } = useParams();
  const place = useLocation().pathname.split('/')[3] ?? '';
  const found = useGroup(group);
  const { notice, tell, back, left, close } = useUndo(group, found.data?.me.id ?? '');
  useLiveGroup(group, useQueryClient());
  useVisit(group, found.data?.me.onlyFolders ? undefined : found.data?.today);
  useEffect(() => keepFocus(), []);
  if (found.error && !stands(found)) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the group" />;
  if (found.data.me.onlyFolders && !OUTSIDE.includes(place)) {
    return <Navigate to={`/g/${group}/folders`} replace />;
  }
  return (
    <NoticeContext value={tell}>
      <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] lg:grid-rows-[46px_minmax(0,1fr)]">
        <SkipLinks />
        <TopLine group={found.data} />
        <main id="main" className="relative min-h-0" tabIndex={-1}>
          <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
            <div>
              <Unsent here={found.data} />
              {!found.data.me.onlyFolders && <LeftForLater here={found.data} />}
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
