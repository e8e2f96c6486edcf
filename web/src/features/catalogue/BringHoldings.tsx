import { counted } from '../../ui';
import { useHere } from '../session';
import { useLookAtHoldings, useTakeHoldings } from './holdingsApi';
import { BringFile } from './BringFile';
import { FileLines } from './FileLines';

/** A coordinator brings in what the group may read, which takes the place of what is here. */
export function BringHoldings({ onClose }: { onClose: () => void }) {
  const here = useHere();
  return (
    <BringFile
      title="Bring in holdings"
      says="A KBART file, with tabs between its columns. It takes the place of what is here: a title that it does not name cannot be read through the group any more."
      label="Holdings file (KBART)"
      accept=".txt,.tsv,.kbart"
      look={useLookAtHoldings(here.id)}
      take={useTakeHoldings(here.id)}
      onClose={onClose}
    >
      {({ titles, added, changed, gone, problems }) => (
        <>
          <p>
            {counted(titles, 'stretch', 'stretches')} that may be read:{' '}
            {counted(added.length, 'title')} new, {changed.length} with other years, {gone.length}{' '}
            that may not be read any more.
          </p>
          <FileLines title="May not be read any more" lines={gone} />
          <FileLines title="New" lines={added} />
          <FileLines title="With other years" lines={changed} />
          <FileLines
            title="Lines that cannot be used; the rest is taken in"
            lines={problems.map(({ line, what }) => `line ${line}: ${what}`)}
          />
        </>
      )}
    </BringFile>
  );
}
