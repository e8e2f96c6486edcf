import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Dialog, DialogForm, TextField } from '../../ui';
import { useHere } from '../session';
import { useDrive, usePutOnDrive } from './api';
import { FolderChoice } from './FolderChoice';

/** Puts something on the group's drive: where, under which name, once or kept up to date. */
export function DriveDialog({
  file,
  name,
  onClose,
}: {
  file: Schema['DriveWanted'];
  /** That is offered for it; empty: one by what it is, if none is typed. */
  name: string;
  onClose: () => void;
}) {
  const here = useHere();
  const drive = useDrive(here.id);
  const put = usePutOnDrive(here.id);
  const [at, setAt] = useState('');
  const [made, setMade] = useState('');
  const [called, setCalled] = useState(name);
  const [kept, setKept] = useState(false);
  if (!drive.data?.address) {
    return (
      <Dialog title="Put on the drive" onClose={onClose}>
        <p className="mt-2" role="status">
          {drive.error?.message ??
            (drive.data
              ? 'The group has no drive yet: a folder that all of you have on your machines, at an address that speaks WebDAV.'
              : 'The drive is asked for …')}
        </p>
        <div className="mt-4 flex gap-4">
          {drive.data && (
            <Link className="act act-main" to={`/g/${here.id}/drive`}>
              {here.me.role === 'coordinator' ? 'Set it' : 'Who sets it'}
            </Link>
          )}
          <Act onClick={onClose}>Close</Act>
        </div>
      </Dialog>
    );
  }
  const into = [at, made.trim()].filter(Boolean).join('/');
  return (
    <DialogForm
      title="Put on the drive"
      wide
      act="Put it there"
      leave="Put nothing there"
      disabled={put.isPending}
      error={put.error}
      onSubmit={() => put.mutate({ in: into, name: called, kept, file }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <FolderChoice at={at} onChange={setAt} />
      <TextField
        label="In a new folder of that, if you like"
        value={made}
        most={120}
        onChange={setMade}
      />
      <TextField
        label={
          name === ''
            ? 'Name of the file; without one it is called by what it is'
            : 'Name of the file'
        }
        value={called}
        most={120}
        onChange={setCalled}
      />
      {file.what !== 'text' && (
        <label className="mt-3 flex min-h-[28px] items-center gap-2">
          <input
            type="checkbox"
            checked={kept}
            onChange={(event) => setKept(event.target.checked)}
          />
          Keep it up to date: written again after changes, at most once in a quarter of an hour
        </label>
      )}
      <p className="mt-2 max-w-[62ch] text-[13px] text-soft">
        It stands there for everybody who has that drive, and holds what you may see.{' '}
        <Link className="act" to={`/g/${here.id}/drive`}>
          What stands there
        </Link>
      </p>
    </DialogForm>
  );
}
