import { counted } from '../../ui';
import { useHere } from '../session';
import { useLookAtHoldings, useTakeHoldings, type Shelf } from './holdingsApi';
import { BringFile } from './BringFile';
import { FileLines } from './FileLines';

const WITHOUT: Record<Shelf, string> = {
  group: 'cannot be read through the group any more',
  printed: 'is not in print any more',
  own: 'does not lead you to the publisher any more',
};

/** Brings in what is held, which takes the place of what is here. */
export function BringHoldings({ shelf, onClose }: { shelf: Shelf; onClose: () => void }) {
  const here = useHere();
  return (
    <BringFile
      title="Bring in holdings"
      says={`A KBART file, with tabs between its columns. It takes the place of what is here: a title that it does not name ${WITHOUT[shelf]}.${shelf === 'printed' ? ' A column of the name place says where the volumes stand.' : ''}`}
      label="Holdings file (KBART)"
      accept=".txt,.tsv,.kbart"
      look={useLookAtHoldings(here.id, shelf)}
      take={useTakeHoldings(here.id, shelf)}
      onClose={onClose}
    >
      {({ titles, added, changed, gone, problems }) => (
        <>
          <p>
            {counted(titles, 'stretch', 'stretches')}: {counted(added.length, 'title')} new,{' '}
            {changed.length} with other years, {gone.length} gone.
          </p>
          <FileLines title="Gone" lines={gone} />
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
