import { useNavigate } from 'react-router';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFollow } from './api';

/** Makes one's own feed of something, and leads to where its address stands. */
export function FollowAct({ of, children }: { of: string; children: string }) {
  const here = useHere();
  const follow = useFollow(here.id);
  const navigate = useNavigate();
  if (!mayWrite(here)) return null;
  return (
    <Act
      disabled={follow.isPending}
      onClick={() => follow.mutate(of, { onSuccess: () => void navigate(`/g/${here.id}/feeds`) })}
    >
      {children}
    </Act>
  );
}
