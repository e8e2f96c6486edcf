import { MailOfDemo } from '../demo';
import { useHere } from '../session';
import { useGroupActs, useInvitations } from './api';
import { AskForm } from './AskForm';
import { InvitationLine } from './InvitationLine';
import { ROLES } from './MemberLine';

/** Who was asked and did not come yet, and the way to ask somebody. */
export function Invitations() {
  const here = useHere();
  const found = useInvitations(here.id);
  const { invite } = useGroupActs(here.id);
  const coordinates = here.me.role === 'coordinator';
  return (
    <section aria-label="Asked in" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">Asked in</h2>
      <ul>
        {(found.data ?? []).map((one) => (
          <InvitationLine
            key={one.id}
            invitation={one}
            as={`as ${one.role}`}
            again={
              invite.isPending ? null : () => invite.mutate({ email: one.email, role: one.role })
            }
          />
        ))}
      </ul>
      <AskForm
        as="As"
        choices={ROLES.filter((role) => coordinates || role !== 'coordinator').map(
          (role) => [role, role] as const,
        )}
        first="member"
        act="Ask in"
        pending={invite.isPending}
        error={invite.error}
        onAsk={(email, role, done) => invite.mutate({ email, role }, { onSuccess: done })}
      />
      {here.demo && <MailOfDemo />}
    </section>
  );
}
