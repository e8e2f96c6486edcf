import { useState } from 'react';
import { ChooseFile, DialogForm, listed } from '../../ui';
import { useHere } from '../session';
import { useSendFiles } from './loadsApi';
import { useSources } from './sourcesApi';

/** A steward brings in files of records, into a source that has no address. */
export function LoadFiles({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const [files, setFiles] = useState<File[]>([]);
  const [into, setInto] = useState('');
  const [sending, setSending] = useState('');
  const send = useSendFiles(here.id, setSending);
  const known = (useSources(here.id).data ?? []).filter((source) => source.files);
  return (
    <DialogForm
      title="Load files"
      act="Load"
      leave="Load nothing"
      disabled={files.length === 0 || !into.trim() || send.isPending}
      error={send.error}
      onSubmit={() => send.mutate({ files, into: into.trim() }, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="max-w-[65ch] text-soft">
        Records in MODS, MARCXML, MARC, JATS or Dublin Core, saved answers of OAI-PMH, packed (gzip,
        zip) or not. They are read one after the other; what a record changes counts as from any
        other source.
      </p>
      <p className="mt-2">
        <ChooseFile multiple label="Files of records" disabled={send.isPending} onChosen={setFiles}>
          {files.length > 0 ? 'Choose other files' : 'Choose files'}
        </ChooseFile>
        <span role="status" className="ml-3 break-all text-soft">
          {send.isPending ? `Sending ${sending} …` : listed(files.map((file) => file.name))}
        </span>
      </p>
      <label className="mt-3 block">
        <span className="small-head">Into the source named</span>
        <input
          required
          maxLength={120}
          list="sources-of-files"
          className="field block w-full"
          value={into}
          onChange={(event) => setInto(event.target.value)}
        />
      </label>
      <datalist id="sources-of-files">
        {known.map((source) => (
          <option key={source.key} value={source.name} />
        ))}
      </datalist>
    </DialogForm>
  );
}
