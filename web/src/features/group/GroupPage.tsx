import { Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useMembers } from './api';
import { Invitations } from './Invitations';
import { Leave } from './Leave';
import { MemberLine } from './MemberLine';

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
      {coordinates && <Invitations />}
      <Leave />
    </div>
  );
}
