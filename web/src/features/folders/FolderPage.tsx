import { useParams } from 'react-router';
import type { Schema } from '../../api';
import { counted, Failed, Lamp, PublicationRow, shortDay, Waiting } from '../../ui';
import { useHere } from '../session';
import { useFolder } from './api';
import { NotesHere } from './NotesHere';
import { SearchLine } from './SearchLine';

export function FolderPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const folder = useFolder(here.id, id);
  if (folder.error) return <Failed error={folder.error} />;
  if (!folder.data) return <Waiting what="the folder" />;
  const { name, items, searches } = folder.data;
  return (
    <div className="h-full overflow-y-auto pb-16">
      <title>{`${name} · Quiet Lantern`}</title>
      <div className="bar">
        <h1 className="font-serif text-[21px] font-semibold">{name}</h1>
        <span className="text-soft">{counted(items.length, 'publication')}</span>
        {items.length > 0 && (
          <a className="act" href={`/api/groups/${here.id}/folders/${id}/export.ris`}>
            Export as RIS
          </a>
        )}
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
      {items.length === 0 ? (
        <p className="p-6 text-soft">Nothing is kept here yet.</p>
      ) : (
        <ol aria-label="Publications kept">
          {items.map((item) => (
            <Item key={item.publication.id} item={item} group={here.id} />
          ))}
        </ol>
      )}
    </div>
  );
}

function Item({ item, group }: { item: Schema['FolderItem']; group: string }) {
  return (
    <li className="border-b border-base-300">
      <PublicationRow
        publication={item.publication}
        to={`/g/${group}/p/${item.publication.id}`}
        lamp={<Lamp state={item.lamp} label={`my lamp: ${item.lamp}`} />}
      />
      <ul className="pr-4 pb-2 pl-[39px] text-[13px] lg:pl-[47px]">
        {item.reasons.map((reason) => (
          <li key={reason.at + reason.who}>
            {reason.who}, {shortDay(reason.at)}
            {reason.text && (
              <>
                : <span className="text-soft">“{reason.text}”</span>
              </>
            )}
          </li>
        ))}
      </ul>
    </li>
  );
}
