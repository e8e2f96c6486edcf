import { Link } from 'react-router';
import type { Schema } from '../../api';
import { useAddress } from '../../ui';

/** Every number, also those that the drawing has no room for. */
export function NumbersTable({ boxes }: { boxes: readonly Schema['FlowStep'][] }) {
  return (
    <table className="self-start text-[13.5px]">
      <caption className="small-head text-left">Its numbers</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">What</th>
          <th scope="col">How many</th>
        </tr>
      </thead>
      <tbody>
        {boxes.flatMap((box) => [
          <Row key={box.key} of={box.key} label={box.label} n={box.n} head />,
          ...box.parts.map((part) => (
            <Row key={part.key} of={part.key} label={part.label} n={part.n} />
          )),
        ])}
      </tbody>
    </table>
  );
}

function Row({
  of,
  label,
  n,
  head = false,
}: {
  of: string;
  label: string;
  n: number;
  head?: boolean;
}) {
  const { to } = useAddress();
  return (
    <tr className={head ? 'border-t border-base-300' : ''}>
      <th
        scope="row"
        className={`py-0.5 pr-4 text-left break-words ${head ? 'font-semibold' : 'pl-4 font-normal text-soft'}`}
      >
        {label}
      </th>
      <td className="text-right align-top tabular-nums">
        {n > 0 ? (
          <Link replace className="act" to={to('n', of)}>
            {n.toLocaleString('en-GB')}
          </Link>
        ) : (
          '0'
        )}
      </td>
    </tr>
  );
}
