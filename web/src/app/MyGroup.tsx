import { Navigate } from 'react-router';
import { FoundGroup, useMe } from '../features/session';
import { Failed, Waiting } from '../ui';

/** Leads on to a place of the member's group; of the first one if there are several. */
export function MyGroup({ to }: { to: string }) {
  const me = useMe();
  if (me.error) return <Failed error={me.error} again={() => void me.refetch()} />;
  if (!me.data) return <Waiting what="your groups" />;
  const first = me.data.groups[0];
  if (!first) return <FoundGroup />;
  return <Navigate to={`/g/${first.id}/${to}`} replace />;
}
