import { Link } from 'react-router';
import { useState } from 'react';
import { Act, day, Failed, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { BringHoldings } from './BringHoldings';
import { HeldTitles } from './HeldTitles';
import { useHoldings, useTakeHoldings, type Shelf } from './holdingsApi';
import { Library } from './Library';
import { Parts } from './Parts';

const READ = {
  shelf: 'group',
  name: 'what the group may read',
  none: 'No file was brought in: what is not open to all cannot be read through the group.',
} as const;

const SHELVES: { shelf: Shelf; name: string; none: string }[] = [
  READ,
  {
    shelf: 'printed',
    name: 'in print at the library',
    none: 'No file was brought in. What one names stands among the ways to a text, before a copy request.',
  },
  {
    shelf: 'own',
    name: 'by rights of your own',
    none: 'If you may read elsewhere, at a college or a society, bring its file in: what it covers leads you to the publisher. Nobody else sees it, and it makes nothing readable for the group.',
  },
];

/** What may be read and stands in print, and for which years; another file is brought in from here. */
export function HoldingsPage() {
  const here = useHere();
  const address = useAddress();
  const wanted = address.params.get('of');
  const chosen = SHELVES.find(({ shelf }) => shelf === wanted) ?? READ;
  return (
    <div className="page">
      <title>Holdings · Quiet Lantern</title>
      <Title help="holdings" className="mb-2">
        Holdings
      </Title>
      <Parts />
      <nav aria-label="Whose holdings" className="flex flex-wrap gap-x-4">
        {SHELVES.filter(({ shelf }) => shelf !== 'own' || mayWrite(here)).map(({ shelf, name }) => (
          <Link
            key={shelf}
            className={`act ${shelf === chosen.shelf ? 'font-semibold underline' : ''}`}
            aria-current={shelf === chosen.shelf ? 'true' : undefined}
            to={address.to('of', shelf === 'group' ? '' : shelf)}
          >
            {name}
          </Link>
        ))}
      </nav>
      <OnShelf key={chosen.shelf} shelf={chosen.shelf} none={chosen.none} />
    </div>
  );
}

function OnShelf({ shelf, none }: { shelf: Shelf; none: string }) {
  const here = useHere();
  const holdings = useHoldings(here.id, shelf);
  const take = useTakeHoldings(here.id, shelf);
  const [bringing, setBringing] = useState(false);
  if (holdings.error) return <Failed error={holdings.error} />;
  if (!holdings.data) return <Waiting what="the holdings" />;
  const { titles, name, by, at } = holdings.data;
  const may = shelf === 'own' || here.me.role === 'coordinator';
  return (
    <>
      <p className="mt-2 max-w-[65ch] text-soft">
        {name
          ? `From ${name}${at ? `, brought in on ${day(at)}` : ''}${by ? ` by ${by}` : ''}.`
          : none}
      </p>
      <p className="mt-2 flex flex-wrap gap-x-4">
        {may && <Act onClick={() => setBringing(true)}>Bring in a file (KBART)</Act>}
        {name && (
          <a className="act" href={`/api/groups/${here.id}/holdings/${shelf}/file`} download>
            The file as it was brought in
          </a>
        )}
        {name && shelf !== 'group' && may && (
          <Act disabled={take.isPending} onClick={() => take.mutate({ name: '', file: '' })}>
            Take it away
          </Act>
        )}
      </p>
      {shelf === 'group' && <Library />}
      {bringing && <BringHoldings shelf={shelf} onClose={() => setBringing(false)} />}
      {titles.length > 0 && <HeldTitles titles={titles} />}
    </>
  );
}
