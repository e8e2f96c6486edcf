import { Link, useLocation } from 'react-router';
import { useConfirmAddress } from './api';
import { Entrance, EntranceEnd } from './Entrance';

/** Where a letter leads that asks whether an address is one's own; its code stands behind the #. */
export function AddressPage() {
  const code = useLocation().hash.slice(1);
  const confirm = useConfirmAddress();
  if (confirm.isSuccess) {
    return (
      <main className="page">
        <p role="status">
          Your account has the address <b>{confirm.data}</b> from now on.
        </p>
        <p className="mt-2">
          <Link className="act" to="/">
            Go on
          </Link>
        </p>
      </main>
    );
  }
  return (
    <Entrance
      says="You asked to come in with this address from now on."
      onSubmit={() => confirm.mutate(code)}
    >
      <title>Another address · Quiet Lantern</title>
      <EntranceEnd act="Yes, it is my address" busy={confirm.isPending} error={confirm.error} />
    </Entrance>
  );
}
