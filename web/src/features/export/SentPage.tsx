import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted, Failed, shortDay, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useSent } from './mailApi';

/** So many stand on a page. */
const PAGE = 50;

/** What one sent by mail, and how the letters stand. */
export function SentPage() {
  const here = useHere();
  const address = useAddress();
  const page = useSent(here.id, address.params.get('before'));
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="what you sent" />;
  const last = page.data.length === PAGE ? page.data[PAGE - 1] : undefined;
  return (
    <div className="page">
      <title>Sent by mail · Quiet Lantern</title>
      <Title help="folders" className="mb-2">
        Sent by mail
      </Title>
      {page.data.length === 0 && (
        <p className="max-w-[65ch] text-soft">
          You sent nothing{address.params.has('before') ? ' before' : ' yet'}. A list, a folder, a
          round or what a search finds is mailed from there.
        </p>
      )}
      <ul className="max-w-[52rem]">
        {page.data.map((one) => (
          <Sent key={one.id} sent={one} />
        ))}
      </ul>
      {last && (
        <Link className="act mt-3 inline-block" to={address.to('before', last.id)}>
          Earlier ones
        </Link>
      )}
    </div>
  );
}

function Sent({ sent }: { sent: Schema['SendingShown'] }) {
  const { name, works, file, texts, at, letters } = sent;
  return (
    <li className="border-b border-base-300 py-2">
      <p className="font-serif text-[15.5px]">{name}</p>
      <p className="text-[13px] text-soft">
        {counted(works, 'publication')} on {shortDay(at)}
        {file && `, with ${file}`}
        {texts > 0 && `${file ? ' and' : ', with'} ${counted(texts, 'text')}`}
      </p>
      <ul className="text-[13px]">
        {letters.map(({ to, state, trouble }) => (
          <li key={to} className={state === 'given up' ? 'text-error' : ''}>
            {to}: {state === 'sent' ? 'handed over' : state}
            {trouble && ` · ${trouble}`}
          </li>
        ))}
      </ul>
    </li>
  );
}
