import { counted } from '../../ui';
import { useHere } from '../session';
import { BringFile } from './BringFile';
import { FileLines } from './FileLines';
import { useLookAtJournals, useTakeJournals } from './journalFilesApi';

/** A steward brings in what is known of journals: what changes is shown before it is taken in. */
export function BringJournals({ onClose }: { onClose: () => void }) {
  const here = useHere();
  return (
    <BringFile
      title="Bring in journals"
      says="CSV with the columns title, issn, publisher, discipline, since, peer_reviewed_from, former_title, former_until. Journals that it does not name stay as they are."
      label="Journals (CSV)"
      accept=".csv,.txt"
      look={useLookAtJournals(here.id)}
      take={useTakeJournals(here.id)}
      onClose={onClose}
    >
      {({ journals, added, changed, problems }) => (
        <>
          <p>
            {counted(journals, 'journal')}: {added.length.toLocaleString('en-GB')} new,{' '}
            {changed.length.toLocaleString('en-GB')} changed.
          </p>
          <FileLines title="New" lines={added} />
          <FileLines title="Changed" lines={changed} />
          <FileLines title="Lines that cannot be used; the rest is taken in" lines={problems} />
        </>
      )}
    </BringFile>
  );
}
