import { MailOfDemo } from '../demo';
import { AskForm, InvitationLine } from '../group';
import { useHere } from '../session';
import { useAskedTo, usePeopleActs } from './peopleApi';

/** People from outside the group, who are asked to this folder by mail and see nothing else. */
export function FromOutside({ folder }: { folder: string }) {
  const here = useHere();
  const asked = useAskedTo(here.id, folder).data ?? [];
  const { ask } = usePeopleActs(here.id, folder);
  return (
    <section aria-label="From outside" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">From outside</h2>
      <p className="text-soft">
        Somebody who is not in the group reads this folder, and may remark on what is in it. They
        see nothing else of the group.
      </p>
      <ul>
        {asked.map((one) => (
          <InvitationLine
            key={one.id}
            invitation={one}
            as={one.may === 'read' ? 'to read' : 'to read and remark'}
            again={
              ask.isPending ? null : () => ask.mutate({ email: one.email, may: one.may ?? 'read' })
            }
          />
        ))}
      </ul>
      <AskForm
        as="To"
        choices={[
          ['read', 'read'],
          ['remark', 'read and remark'],
        ]}
        first="read"
        act="Ask them"
        pending={ask.isPending}
        error={ask.error}
        onAsk={(email, may, done) => ask.mutate({ email, may }, { onSuccess: done })}
      />
      {here.demo && <MailOfDemo />}
    </section>
  );
}
