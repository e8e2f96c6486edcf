import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm, listed, TextField } from '../../ui';

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

/** A library that lends: its name, where it is asked, of what and of which years. */
export function ChangeLender({
  lender,
  pending,
  error,
  onChanged,
  onClose,
}: {
  /** As it is; none for another one. */
  lender?: Schema['LenderShown'];
  pending: boolean;
  error: Error | null;
  onChanged: (lender: Schema['LenderShown']) => void;
  onClose: () => void;
}) {
  const [name, setName] = useState(lender?.name ?? '');
  const [address, setAddress] = useState(lender?.address ?? '');
  const [cost, setCost] = useState(lender?.cost ?? '');
  const [since, setSince] = useState(lender?.since?.toString() ?? '');
  const [until, setUntil] = useState(lender?.until?.toString() ?? '');
  const [kinds, setKinds] = useState<string[]>(lender?.kinds ?? []);
  const flip = (kind: string) =>
    setKinds(kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind]);
  return (
    <DialogForm
      title={lender ? 'Change a library that lends' : 'Another library that lends'}
      wide
      act="Note it"
      disabled={pending}
      error={error}
      onSubmit={() =>
        onChanged({
          name,
          address,
          kinds,
          cost,
          ...(since ? { since: Number(since) } : {}),
          ...(until ? { until: Number(until) } : {}),
        })
      }
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
      <p className="mt-2 flex items-baseline gap-x-2">
        <Year label="published from" value={since} onChange={setSince} />
        <Year label="to" value={until} onChange={setUntil} />
        <span className="text-soft">empty: of any year</span>
      </p>
      <p className="mt-2 text-soft">
        {kinds.length > 0
          ? `What cannot be read is “by request” if it is ${listed(kinds)}.`
          : 'It takes no requests.'}
      </p>
    </DialogForm>
  );
}

function Year({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (year: string) => void;
}) {
  return (
    <label>
      {label}{' '}
      <input
        className="field w-20"
        inputMode="numeric"
        pattern="[0-9]{4}"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
