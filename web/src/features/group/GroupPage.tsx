import { Link } from 'react-router';
import { Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useMembers } from './api';
import { Away } from './Away';
import { Invitations } from './Invitations';
import { Leave } from './Leave';
import { MemberLine } from './MemberLine';
import { SettingsForm } from './SettingsForm';
import { useSettings } from './settingsApi';

/** Who is in the group, and how others come in. */
export function GroupPage() {
  const here = useHere();
  const found = useMembers(here.id);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="the group" />;
  const coordinates = here.me.role === 'coordinator';
  return (
    <div className="page">
      <title>{`${here.name} · Quiet Lantern`}</title>
      <Title help="group">{here.name}</Title>
      <p className="mt-1 text-soft">
        Its days begin and end in {here.zone}. A coordinator looks after members and roles; a guest
        reads.
      </p>
      <section aria-label="Members" className="mt-4 max-w-[52rem]">
        <h2 className="small-head">Who is here</h2>
        <ul>
          {found.data.map((member) => (
            <MemberLine key={member.id} member={member} coordinates={coordinates} />
          ))}
        </ul>
      </section>
      {mayWrite(here) && <Away members={found.data} />}
      {(coordinates || (here.membersInvite && mayWrite(here))) && <Invitations />}
      {mayWrite(here) && (
        <section aria-label="The drive" className="mt-6">
          <h2 className="small-head">The drive</h2>
          <p>
            <Link className="act" to={`/g/${here.id}/drive`}>
              The group’s shared folder
            </Link>{' '}
            <span className="text-soft">and what is written there</span>
          </p>
        </section>
      )}
      {coordinates && <Settings />}
      <Leave />
    </div>
  );
}

function Settings() {
  const here = useHere();
  const { data, error, refetch } = useSettings(here.id);
  return (
    <section aria-label="Set for the group" className="mt-6">
      <h2 className="small-head">Set for the group</h2>
      {error && <Failed error={error} again={() => void refetch()} />}
      {/* What somebody else has set meanwhile is shown as it is then. */}
      {data && <SettingsForm key={data.version} settings={data} />}
    </section>
  );
}
