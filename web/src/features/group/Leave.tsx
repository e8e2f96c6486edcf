import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Act, DialogForm } from '../../ui';
import { useFolders } from '../keeping';
import { useHere } from '../session';
import { useGroupActs } from './api';

/** The way out of the group: asked once more, for only a coordinator can let somebody in again. */
export function Leave() {
  const here = useHere();
  const { end } = useGroupActs(here.id);
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const pile = useFolders(here.id).data?.find((folder) => folder.pile && folder.items > 0);
  const leave = () =>
    end.mutate(
      { member: here.me.id, name: here.me.name, leaves: true },
      { onSuccess: () => void navigate('/', { replace: true }) },
    );
  return (
    <div className="mt-6">
      <Act onClick={() => setAsking(true)}>Leave the group</Act>
      {asking && (
        <DialogForm
          title={`Leave ${here.name}`}
          act="Leave"
          leave="Stay"
          disabled={end.isPending}
          error={end.error}
          onSubmit={leave}
          onClose={() => setAsking(false)}
        >
          {pile && (
            <p className="mt-3 max-w-[60ch]">
              Your pile is yours alone, and goes out of everybody’s sight with you.{' '}
              <Link className="act" to={`/g/${here.id}/f/${pile.id}`}>
                Turn it over to the group first
              </Link>
            </p>
          )}
          <p className="mt-3 max-w-[60ch]">
            What you marked, kept and said stays with the group under your name as “a former
            member”. What is owed by you ends. To come back you need to be asked in again.
          </p>
        </DialogForm>
      )}
    </div>
  );
}
