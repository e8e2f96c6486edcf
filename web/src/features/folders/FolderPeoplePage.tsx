import { Link, useParams } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { FollowAct } from '../feeds';
import { Title } from '../help';
import { useFolders } from '../keeping';
import { mayWrite, useHere } from '../session';
import { FromOutside } from './FromOutside';
import { LinkOfFolder } from './LinkOfFolder';
import { useRights } from './peopleApi';
import { RightsForm } from './RightsForm';
import { MAY } from './rights';

/** Who sees a folder: the group or some of it, whom others asked to it, whoever has its link. */
export function FolderPeoplePage() {
  const { id = '' } = useParams();
  const here = useHere();
  const folders = useFolders(here.id);
  const rights = useRights(here.id, id);
  const error = rights.error ?? folders.error;
  if (error) return <Failed error={error} />;
  const folder = folders.data?.find((one) => one.id === id);
  if (!folder || !rights.data) return <Waiting what="the folder" />;
  const { name, parent } = folder;
  const changes = mayWrite(here) && rights.data.may === 'edit';
  return (
    <div className="page">
      <title>{`Who sees ${name} · Quiet Lantern`}</title>
      <Title help="people">Who sees “{name}”</Title>
      <p className="flex flex-wrap gap-x-4">
        <Link className="act" to={`/g/${here.id}/f/${id}`}>
          Back to the folder
        </Link>
        <FollowAct of={`folder:${id}`}>Follow what is kept here by a feed of mine</FollowAct>
      </p>
      {rights.data.fallen && (
        <p className="mt-2">
          Nobody is left who was named to change it, so the coordinators see it and may.
        </p>
      )}
      {changes ? (
        <>
          <RightsForm
            key={rights.data.version}
            folder={id}
            inside={Boolean(parent)}
            rights={rights.data}
          />
          <FromOutside folder={id} />
          <LinkOfFolder folder={id} />
        </>
      ) : (
        <>
          <p className="mt-3">
            {rights.data.closed
              ? 'It is for those named here.'
              : 'It is open to the whole group; guests read it.'}
          </p>
          <ul className="mt-2">
            {rights.data.named.map((one) => (
              <li key={one.member}>
                {one.name} <span className="text-soft">{MAY[one.may]}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
