import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, DialogForm, listed, TextField } from '../../ui';
import { useHere } from '../session';
import { useLend, useLender } from '../text';

const KINDS = [
  'article',
  'review',
  'book',
  'chapter',
  'thesis',
  'report',
  'conference paper',
  'preprint',
  'dataset',
  'editorial',
  'letter',
];

/** Who lends to the group; a coordinator says it. */
export function Lender({ usual }: { usual?: string }) {
  const here = useHere();
  const lender = useLender(here.id).data;
  const [changing, setChanging] = useState(false);
  if (!lender) return null;
  const kinds = lender.kinds ?? [];
  return (
    <p className="max-w-[75ch] text-soft">
      {kinds.length === 0
        ? 'Nobody lends to your group.'
        : `${lender.name || 'A lending library'} takes requests for: ${kinds.join(', ')}. ${
            lender.address
              ? 'They go there by themselves'
              : 'You carry them there and say here how they stand'
          }${usual ? `; ${usual}` : ''}${lender.cost ? `; ${lender.cost}` : ''}.`}{' '}
      {here.me.role === 'coordinator' && <Act onClick={() => setChanging(true)}>Change</Act>}
      {changing && <ChangeLender lender={lender} onClose={() => setChanging(false)} />}
    </p>
  );
}

function ChangeLender({ lender, onClose }: { lender: Schema['LenderShown']; onClose: () => void }) {
  const here = useHere();
  const lend = useLend(here.id);
  const [name, setName] = useState(lender.name ?? '');
  const [address, setAddress] = useState(lender.address ?? '');
  const [cost, setCost] = useState(lender.cost ?? '');
  const [kinds, setKinds] = useState<string[]>(lender.kinds ?? []);
  const flip = (kind: string) =>
    setKinds(kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind]);
  return (
    <DialogForm
      title="Who lends to the group"
      wide
      act="Note it"
      disabled={lend.isPending}
      error={lend.error}
      onSubmit={() => lend.mutate({ name, address, kinds, cost }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextField label="Name of the library" most={200} value={name} onChange={setName} />
      <TextField
        label="Address that takes OpenURLs as a form (may be left out)"
        value={address}
        onChange={setAddress}
      />
      <TextField
        label="What a copy costs (may be left out)"
        most={200}
        value={cost}
        onChange={setCost}
      />
      <fieldset className="mt-2">
        <legend>It takes requests for</legend>
        <div className="flex flex-wrap gap-x-4">
          {KINDS.map((kind) => (
            <label key={kind}>
              <input type="checkbox" checked={kinds.includes(kind)} onChange={() => flip(kind)} />{' '}
              {kind}
            </label>
          ))}
        </div>
      </fieldset>
      <p className="mt-2 text-soft">
        {kinds.length > 0
          ? `What cannot be read is “by request” if it is ${listed(kinds)}.`
          : 'Nothing is “by request”.'}
      </p>
    </DialogForm>
  );
}
