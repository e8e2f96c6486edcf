import { Link, useSearchParams } from 'react-router';
import { Act, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useActivity } from './api';
import { Days } from './Days';

/** Where the subject of an activity stands. */
const PLACE: Record<string, string> = { folder: 'f', publication: 'p', search: 's', alert: 'a' };

/** What was done in the group, or with one thing of it; the address says with which. */
export function ActivityPage() {
  const here = useHere();
  const of = useSearchParams()[0].get('of') ?? '';
  const found = useActivity(here.id, of);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="what was done" />;
  const lines = found.data.pages.flatMap((page) => page.lines);
  const name = found.data.pages[0]?.name;
  const [kind = '', id = ''] = of.split(':');
  return (
    <div className="page">
      <title>{`Activity${name ? ` of ${name}` : ''} · Quiet Lantern`}</title>
      <Title help="today">
        {name ? (
          <>
            What was done with <Link to={`/g/${here.id}/${PLACE[kind]}/${id}`}>{name}</Link>
          </>
        ) : (
          'What was done'
        )}
      </Title>
      {lines.length === 0 && <p className="mt-3 text-soft">Nothing was done here yet.</p>}
      <Days lines={lines} />
      {found.hasNextPage && (
        <Act
          className="mt-3"
          disabled={found.isFetchingNextPage}
          onClick={() => void found.fetchNextPage()}
        >
          Earlier ones
        </Act>
      )}
    </div>
  );
}
