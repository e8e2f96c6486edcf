import { Link } from 'react-router';
import { Act, listed } from '../../ui';
import { useAlertMail, useSetAlertMail } from './mailApi';

/** Who gets the alert by mail, and whether oneself does. */
export function MailOfAlert({ group, alert }: { group: string; alert: string }) {
  const mail = useAlertMail(group, alert).data;
  const set = useSetAlertMail(group, alert);
  if (!mail) return null;
  return (
    <section aria-label="By mail" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">By mail</h2>
      <p>
        {mail.mine
          ? 'What its closed rounds brought stands in your letters.'
          : 'Your letters leave it out.'}{' '}
        <Act disabled={set.isPending} onClick={() => set.mutate(!mail.mine)}>
          {mail.mine ? 'Leave it out' : 'Have it in my letters'}
        </Act>
      </p>
      <p className="text-soft">
        {mail.names.length > 0 ? `It goes to ${listed(mail.names)}` : 'It goes to nobody'}
        {mail.forAll ? ', and to whoever joins' : ''}.{' '}
        <Link className="act" to={`/g/${group}/account`}>
          When your letters come
        </Link>
      </p>
    </section>
  );
}
