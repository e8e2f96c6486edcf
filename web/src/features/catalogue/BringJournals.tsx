import { useState } from 'react';
import { ChooseFile, counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import { FileLines } from './FileLines';
import { useLookAtJournals, useTakeJournals } from './journalFilesApi';

/** A steward brings in what is known of journals: what changes is shown before it is taken in. */
export function BringJournals({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const look = useLookAtJournals(here.id);
  const take = useTakeJournals(here.id);
  const [file, setFile] = useState<string | null>(null);
  const choose = async (chosen: File | undefined) => {
    if (!chosen) return;
    const text = await chosen.text();
    setFile(text);
    look.mutate(text);
  };
  const changes = look.error ? undefined : look.data;
  return (
    <DialogForm
      title="Bring in journals"
      wide
      act="Take them in"
      disabled={!file || !changes || take.isPending}
      error={take.error ?? look.error}
      onSubmit={() => file && take.mutate(file, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="max-w-[65ch] text-soft">
        CSV with the columns title, issn, publisher, discipline, since, peer_reviewed_from,
        former_title, former_until. Journals that it does not name stay as they are.
      </p>
      <p className="mt-2">
        <ChooseFile
          label="Journals (CSV)"
          accept=".csv,.txt"
          disabled={look.isPending}
          onChosen={([chosen]) => void choose(chosen)}
        >
          {look.isPending ? 'Reading …' : 'Choose a file'}
        </ChooseFile>
      </p>
      {changes && (
        <div role="status" className="mt-2 max-h-[40vh] overflow-y-auto">
          <p>
            {counted(changes.journals, 'journal')}: {changes.added.length.toLocaleString('en-GB')}{' '}
            new, {changes.changed.length.toLocaleString('en-GB')} changed.
          </p>
          <FileLines title="New" lines={changes.added} />
          <FileLines title="Changed" lines={changes.changed} />
          <FileLines
            title="Lines that cannot be used; the rest is taken in"
            lines={changes.problems}
          />
        </div>
      )}
    </DialogForm>
  );
}
