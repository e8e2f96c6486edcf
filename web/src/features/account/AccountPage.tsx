import { Title } from '../help';
import { useMe } from '../session';
import { AboutMe } from './AboutMe';
import { AddressForm, PasswordForm } from './Forms';
import { InThisBrowser } from './InThisBrowser';
import { Letters } from './LettersForm';
import { Visits } from './Visits';

/** What is a person's own, whatever group they are in. */
export function AccountPage() {
  const me = useMe().data;
  return (
    <div className="page">
      <title>Your account · Quiet Lantern</title>
      <Title help="account">Your account</Title>
      <p className="mt-1 text-soft">You come in as {me?.email}, into all of your groups.</p>
      <div className="mt-4 grid max-w-[52rem] gap-x-10 gap-y-5 md:grid-cols-2">
        <PasswordForm email={me?.email ?? ''} />
        <AddressForm />
      </div>
      <Letters />
      <Visits />
      <InThisBrowser />
      <AboutMe />
    </div>
  );
}
