import { useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { isProblem } from '../../api';
import { Act, counted, Failed, OrderChoice, useAddress, Waiting } from '../../ui';
import { ActivityLink } from '../activity';
import { FollowFolder } from '../alerts';
import { LeaveActs } from '../export';
import { HelpLink } from '../help';
import { mayWrite, useHere } from '../session';
import { AskAct, asSeen } from '../questions';
import { useFolder } from './api';
import { useFolderChanges } from './changes';
import { Faces } from './Faces';
import { FolderDialog } from './FolderDialog';
import { FolderItems } from './FolderItems';
import { NotesHere } from './NotesHere';
import { FOLDER_ORDERS, folderOrder } from './orders';
import { SearchesHere } from './SearchesHere';
import { CopyFolderDialog, MergeDialog, TurnOverDialog } from './WholeFolderDialog';

/** A folder: its searches and notes above, what is kept in it as a list with the leaf beside. */
export function FolderPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const navigate = useNavigate();
  const address = useAddress();
  const order = folderOrder(address.params.get('order'));
  const found = useFolder(here.id, id, order);
  const { end } = useFolderChanges(here.id, id);
  const [asked, setAsked] = useState<'change' | 'merge' | 'copy' | 'over' | null>(null);
  if (isProblem(found.error, 'merged')) {
    return <Navigate to={`/g/${here.id}/f/${String(found.error.details.folder)}`} replace />;
  }
  if (found.error) return <Failed error={found.error} />;
  const folder = found.data;
  if (!folder || folder.id !== id) return <Waiting what="the folder" />;
  const { name, description, ids, pile, may, closed } = folder;
  const changes = mayWrite(here) && !pile && may === 'edit';
  const close = () => setAsked(null);
  const go = (to: string) => {
    close();
    void navigate(`/g/${here.id}/f/${to}`);
  };
  const ended = () => void navigate(`/g/${here.id}/folders`);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(min(16rem,60vh),1fr)] overflow-y-auto">
      <title>{`${name} · Quiet Lantern`}</title>
      <div>
        <div className="bar">
          <h1 className="font-serif text-[21px] font-semibold">{name}</h1>
          <span className="text-soft">
            {counted(ids.length, 'publication')}
            {closed && !pile && !here.me.onlyFolders && ' · for some of the group'}
            {may !== 'edit' &&
              mayWrite(here) &&
              ` · you ${may === 'read' ? 'read' : 'read and remark'}`}
          </span>
          <Faces folder={id} on="items" />
          {ids.length > 1 && (
            <OrderChoice
              orders={FOLDER_ORDERS}
              order={order}
              onOrder={(next) =>
                address.change('order', next === 'kept' ? '' : next, { replace: true })
              }
            />
          )}
          {ids.length > 0 && <LeaveActs of={() => ({ folder: id, order })} />}
          {changes && !closed && <FollowFolder folder={id} name={name} />}
          {mayWrite(here) && !pile && may === 'edit' && (
            <Link className="act" to={`/g/${here.id}/bring?into=${id}`}>
              Bring in
            </Link>
          )}
          {changes && (
            <>
              <Act onClick={() => setAsked('change')}>Name and place</Act>
              <Act onClick={() => setAsked('copy')}>Copy it</Act>
              <Act onClick={() => setAsked('merge')}>Put into another</Act>
              <Act disabled={end.isPending} onClick={() => end.mutate(null, { onSuccess: ended })}>
                End it
              </Act>
            </>
          )}
          {pile && ids.length > 0 && (
            <Act onClick={() => setAsked('over')}>Turn it over to the group</Act>
          )}
          {!pile && !here.me.onlyFolders && (
            <Link className="act" to={`/g/${here.id}/f/${id}/people`}>
              Who sees it
            </Link>
          )}
          {!here.me.onlyFolders && !pile && (
            <AskAct seen={() => ({ place: asSeen(`/f/${id}`, address.params) })} />
          )}
          {!here.me.onlyFolders && <ActivityLink of={`folder:${id}`} />}
          <HelpLink place="folders" />
        </div>
        <div className="max-h-[30vh] overflow-y-auto">
          {description && (
            <p className="border-b border-base-300 px-4 py-1.5 text-soft lg:px-6">{description}</p>
          )}
          {!here.me.onlyFolders && (
            <>
              <SearchesHere folder={id} />
              <NotesHere folder={id} />
            </>
          )}
        </div>
      </div>
      <div id="list" tabIndex={-1} className="min-h-0 outline-none">
        {ids.length === 0 ? (
          <p className="p-6 text-soft">Nothing is kept here yet.</p>
        ) : (
          <FolderItems
            key={id}
            folder={folder}
            fresh={!found.isPlaceholderData}
            byHand={order === 'hand'}
          />
        )}
      </div>
      {asked === 'change' && <FolderDialog folder={folder} onClose={close} />}
      {asked === 'merge' && <MergeDialog folder={folder} onThere={go} onClose={close} />}
      {asked === 'over' && <TurnOverDialog folder={folder} onThere={go} onClose={close} />}
      {asked === 'copy' && <CopyFolderDialog folder={folder} onThere={go} onClose={close} />}
    </div>
  );
}
