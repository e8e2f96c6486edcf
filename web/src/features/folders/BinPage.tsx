import { Failed, PageLinks, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useBin } from './api';
import { BinLine } from './BinLine';

/** What ended or was taken out in the last thirty days, and comes back from here. */
export function BinPage() {
  const here = useHere();
  const address = useAddress();
  const from = Number(address.params.get('from')) || 0;
  const bin = useBin(here.id, from);
  if (bin.error) return <Failed error={bin.error} again={() => void bin.refetch()} />;
  if (!bin.data) return <Waiting what="the bin" />;
  return (
    <div className="page">
      <title>Bin · Quiet Lantern</title>
      <Title help="bin">Bin</Title>
      <p className="mt-2 max-w-[65ch] text-soft">
        {bin.data.lines.length > 0
          ? 'What ended or was taken out lies here for thirty days, and comes back as it was.'
          : 'Nothing ended and nothing was taken out in the last thirty days.'}
      </p>
      <ul className="mt-3 max-w-[52rem]">
        {bin.data.lines.map((line) => (
          <BinLine key={line.id} line={line} />
        ))}
      </ul>
      <PageLinks from={from} next={bin.data.next} to={(page) => address.to('from', page)} />
    </div>
  );
}
