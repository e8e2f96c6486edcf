import { Link, useParams } from 'react-router';
import { Act, day, Failed, useCopyAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useNote } from './api';
import { Blocks } from './Blocks';

/** An account that was kept, as it was on its day. */
export function NotePage() {
  const { id = '' } = useParams();
  const here = useHere();
  const copy = useCopyAddress();
  const found = useNote(here.id, id);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the note" />;
  const { note, folder, of, blocks } = found.data;
  return (
    <article className="page">
      <title>{`${note.title} · Quiet Lantern`}</title>
      <div className="max-w-[52rem]">
        <Title help="note">{note.title}</Title>
        <p className="mt-1 text-soft">
          Kept by {note.by} on {day(note.at)} in{' '}
          <Link className="act" to={`/g/${here.id}/f/${folder.id}`}>
            {folder.name}
          </Link>
          , as it was then.
        </p>
        <p className="mt-1 flex flex-wrap gap-x-5 print:hidden">
          <Act main onClick={() => window.print()}>
            Print
          </Act>
          {!of.startsWith('trail:') && (
            <Link className="act" to={`/g/${here.id}/report?of=${encodeURIComponent(of)}`}>
              The same today
            </Link>
          )}
          <Act onClick={() => copy(`/n/${note.id}`)}>Stable link</Act>
        </p>
        <Blocks blocks={blocks} />
      </div>
    </article>
  );
}
