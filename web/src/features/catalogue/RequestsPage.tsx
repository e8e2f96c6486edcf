import { Link } from 'react-router';
import { Act, Choice, counted, Failed, people, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { RequestLine, useRequests } from '../text';
import { Lenders } from './Lenders';
import { Parts } from './Parts';

const STATES = ['asked', 'sent', 'asked back', 'delivered', 'refused', 'expired', 'withdrawn'];

/** Copies that the group asked for: how they stand, who waits, since when. */
export function RequestsPage() {
  const here = useHere();
  const address = useAddress();
  const state = STATES.find((one) => one === address.params.get('state')) ?? '';
  const mine = address.params.get('of') === 'me';
  const before = address.params.get('before') ?? '';
  const page = useRequests(here.id, state, mine, before);
  if (page.error) return <Failed error={page.error} />;
  if (!page.data) return <Waiting what="the copy requests" />;
  const { requests, counts, next, usual } = page.data;
  const all = counts.reduce((sum, { n }) => sum + n, 0);
  return (
    <div className="page">
      <title>Copy requests · Quiet Lantern</title>
      <Title help="requests" className="mb-2">
        Copy requests
      </Title>
      <Parts />
      <Lenders usual={usual} />
      <nav aria-label="Which requests" className="mt-3 flex flex-wrap gap-x-4">
        <Choice on={!mine} to={address.to('of', '')}>
          everybody’s
        </Choice>
        <Choice on={mine} to={address.to('of', 'me')}>
          mine
        </Choice>
        <span aria-hidden="true" className="text-soft">
          ·
        </span>
        <Choice on={state === ''} to={address.to('state', '')}>
          all {all.toLocaleString('en-GB')}
        </Choice>
        {counts.map((count) => (
          <Choice
            key={count.state}
            on={state === count.state}
            to={address.to('state', count.state)}
          >
            {count.state} {count.n.toLocaleString('en-GB')}
          </Choice>
        ))}
        <a className="act" href={`/api/groups/${here.id}/requests.csv`} download>
          All of them as CSV
        </a>
      </nav>
      {requests.length === 0 ? (
        <p className="mt-4 max-w-[65ch] text-soft">
          {all === 0
            ? 'No copies were asked for. Whatever cannot be read has “ask for a copy” among its ways to the text.'
            : 'None that stand so.'}
        </p>
      ) : (
        <ul className="mt-3 max-w-[52rem]">
          {requests.map((request) => (
            <li key={request.id} className="border-b border-base-300 py-2">
              {request.publication ? (
                <>
                  <Link
                    className="font-serif text-[15.5px] font-medium hover:underline"
                    to={`/g/${here.id}/p/${request.publication.id}`}
                  >
                    {request.publication.title}
                  </Link>
                  <p className="text-[13px] text-soft">
                    {people(request.publication.authors)} · {request.publication.where} ·{' '}
                    {request.publication.year ?? 'no year'}
                  </p>
                </>
              ) : (
                <p className={request.described ? 'font-serif' : 'text-soft'}>
                  {request.described ?? 'A publication that is not here any more'}
                </p>
              )}
              <RequestLine request={request} />
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 flex gap-x-4">
        {before && <Act onClick={() => history.back()}>Newer ones</Act>}
        {next && (
          <Link className="act" to={address.to('before', next)}>
            Older ones than these {counted(requests.length, 'request')}
          </Link>
        )}
      </p>
    </div>
  );
}
