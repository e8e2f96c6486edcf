import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, Lamp, leaving, PublicationRow, shortDay, Waiting } from '../../ui';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { useFolder } from './api';
import { useFolderChanges } from './changes';
import { FolderDialog } from './FolderDialog';
import { NotesHere } from './NotesHere';
import { SearchLine } from './SearchLine';

export function FolderPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const navigate = useNavigate();
  const found = useFolder(here.id, id);
  const { end, takeOut } = useFolderChanges(here.id, id);
  const [changing, setChanging] = useState(false);
  if (found.error) return <Failed error={found.error} />;
  const folder = found.data?.pages[0];
  if (!folder || folder.id !== id) return <Waiting what="the folder" />;
  const items = (found.data?.pages ?? []).flatMap((page) => page.items);
  const { name, searches, total, pile } = folder;
  const left = total - items.length;
  return (
    <div className="h-full overflow-y-auto pb-16">
      <title>{`${name} · Quiet Lantern`}</title>
      <div className="bar">
        <h1 className="font-serif text-[21px] font-semibold">{name}</h1>
        <span className="text-soft">{counted(total, 'publication')}</span>
        {total > 0 && (
          <a className="act" href={`/api/groups/${here.id}/folders/${id}/export.ris`}>
            Export as RIS
          </a>
        )}
        {mayWrite(here) && !pile && (
          <>
            <Act onClick={() => setChanging(true)}>Name and place</Act>
            <Act
              disabled={end.isPending}
              onClick={() =>
                end.mutate(null, { onSuccess: () => void navigate(`/g/${here.id}/folders`) })
              }
            >
              End it
            </Act>
          </>
        )}
        <HelpLink place="folders" />
      </div>
      {searches.length > 0 && (
        <section
          aria-label="Saved searches"
          className="border-b border-base-300 bg-base-200 px-4 py-2 lg:px-6"
        >
          <h2 className="small-head">Saved searches</h2>
          <ul>
            {searches.map((search) => (
              <SearchLine key={search.id} search={search} />
            ))}
          </ul>
        </section>
      )}
      <NotesHere folder={id} />
      {total === 0 ? (
        <p className="p-6 text-soft">Nothing is kept here yet.</p>
      ) : (
        <ol aria-label="Publications kept" {...leaving(items.map((item) => item.publication.id))}>
          {items.map((item) => (
            <Item
              key={item.publication.id}
              item={item}
              onTakeOut={mayWrite(here) ? () => takeOut.mutate([item.publication.id]) : undefined}
            />
          ))}
        </ol>
      )}
      {left > 0 && (
        <p className="px-6 py-3">
          <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
            {counted(left, 'publication')} more
          </Act>
        </p>
      )}
      {changing && <FolderDialog folder={folder} onClose={() => setChanging(false)} />}
    </div>
  );
}

function Item({
  item,
  onTakeOut,
}: {
  item: Schema['FolderItem'];
  onTakeOut: (() => void) | undefined;
}) {
  const here = useHere();
  return (
    <li className="border-b border-base-300">
      <PublicationRow
        publication={item.publication}
        to={`/g/${here.id}/p/${item.publication.id}`}
        lamp={mayWrite(here) ? <Lamp state={item.lamp} label={`my lamp: ${item.lamp}`} /> : null}
      />
      <ul className="pr-4 pb-2 pl-[39px] text-[13px] lg:pl-[47px]">
        {item.reasons.map((reason) => (
          <li key={reason.at + reason.who}>
            {reason.who}, {shortDay(reason.at)}
            {reason.q && (
              <>
                , from{' '}
                <Link className="act" to={`/g/${here.id}/q/${reason.q}`}>
                  “{reason.search}”
                </Link>
              </>
            )}
            {reason.text && (
              <>
                : <span className="text-soft">“{reason.text}”</span>
              </>
            )}
          </li>
        ))}
        {onTakeOut && (
          <li>
            <Act onClick={onTakeOut}>Take out</Act>
          </li>
        )}
      </ul>
    </li>
  );
}
