import { Link, useNavigate, useParams } from 'react-router';
import { Act, Choice, Failed, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useBringing, useBrought } from './api';
import { Entries } from './Entries';
import { Files } from './Files';
import { TakeIn } from './TakeIn';
import { listsOf, STATES } from './words';

/** What is brought in: looked at before it is taken, and its receipt afterwards. */
export function BroughtPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const navigate = useNavigate();
  const address = useAddress();
  const brought = useBrought(here.id, id);
  const { giveBack, leave } = useBringing(here.id, id);
  const of = address.params.get('of') ?? '';
  if (brought.error) return <Failed error={brought.error} again={() => void brought.refetch()} />;
  if (!brought.data) return <Waiting what="what is brought in" />;
  const { state, reading, counts, folder, error } = brought.data;
  const goesOn = reading || state === 'taking' || state === 'returning';
  const done = counts.added + counts.joined + counts.there;
  return (
    <div className="page">
      <title>Bring in · Quiet Lantern</title>
      <Title help="bringing">{state === 'open' ? 'Look at what comes in' : 'Receipt'}</Title>
      <p role="status" className="mt-1 text-soft">
        {reading
          ? `Being read: ${counts.all} entries so far …`
          : state === 'taking'
            ? `Being taken: ${done} of ${done + counts.ready} …`
            : state === 'returning'
              ? `Being taken back: ${done} to go …`
              : `${STATES[state]}${folder ? `, in ` : ''}`}
        {!goesOn && folder && (
          <Link className="act" to={`/g/${here.id}/f/${folder.id}`}>
            {folder.name}
          </Link>
        )}
      </p>
      {error && (
        <p role="alert" className="mt-1 text-error">
          {error}
        </p>
      )}
      <Files brought={brought.data} />
      <p className="mt-3 flex flex-wrap gap-x-4 gap-y-1">
        {listsOf(counts).map(({ of: each, words, n }) => (
          <Choice
            key={each}
            on={of === each}
            to={each ? address.to('of', each, 'from') : `?${without(address.params)}`}
          >
            {n.toLocaleString('en')} {words}
          </Choice>
        ))}
      </p>
      {!goesOn && <TakeIn brought={brought.data} />}
      <Entries brought={brought.data} of={of} />
      <p className="mt-4 flex flex-wrap gap-x-5">
        {(done > 0 || state === 'taken') && !goesOn && (
          <Act disabled={giveBack.isPending} onClick={() => giveBack.mutate(null)}>
            Take all of it back
          </Act>
        )}
        {state === 'open' && !folder && (
          <Act
            disabled={leave.isPending}
            onClick={() =>
              leave.mutate(null, { onSuccess: () => void navigate(`/g/${here.id}/bring`) })
            }
          >
            Leave it, take nothing
          </Act>
        )}
      </p>
    </div>
  );
}

/** The address of all entries: what else stands in it stays. */
function without(params: URLSearchParams): string {
  const rest = new URLSearchParams(params);
  rest.delete('of');
  rest.delete('from');
  return rest.toString();
}
