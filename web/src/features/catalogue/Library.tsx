import { useState } from 'react';
import { Act, DialogForm, TextField } from '../../ui';
import { useHere } from '../session';
import { useLibrary, useNoteLibrary } from './holdingsApi';

/** The group's library, asked for whatever is not open; a coordinator says where. */
export function Library() {
  const here = useHere();
  const library = useLibrary(here.id).data;
  const [changing, setChanging] = useState(false);
  const openUrl = `${location.origin}/openurl`;
  if (!library) return null;
  const name = library.name ?? '';
  const address = library.address ?? '';
  return (
    <p className="mt-2 max-w-[75ch] text-soft">
      {address
        ? `What is not open to all leads to ${name || 'your library'} as well (${new URL(address).host}).`
        : 'No library is known that could be asked by a link (OpenURL).'}{' '}
      {here.me.role === 'coordinator' && (
        <Act onClick={() => setChanging(true)}>Change where links lead</Act>
      )}{' '}
      Others lead here by <span className="select-all">{openUrl}</span>.
      {changing && <Change name={name} address={address} onClose={() => setChanging(false)} />}
    </p>
  );
}

function Change({ onClose, ...known }: { name: string; address: string; onClose: () => void }) {
  const here = useHere();
  const noting = useNoteLibrary(here.id);
  const [name, setName] = useState(known.name);
  const [address, setAddress] = useState(known.address);
  return (
    <DialogForm
      title="Where links to the library lead"
      act="Note it"
      disabled={noting.isPending}
      error={noting.error}
      onSubmit={() => noting.mutate({ name, address }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <TextField label="Name of the library" most={200} value={name} onChange={setName} />
      <TextField
        label="Address of its link resolver (empty: none)"
        value={address}
        onChange={setAddress}
      />
    </DialogForm>
  );
}
