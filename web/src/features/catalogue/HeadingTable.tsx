import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { Own } from '../help';
import { useHere } from '../session';
import { useHeading } from './api';

type Line = Schema['HeadingLine'];
type Shown = { current: string | null; to: (label: string) => string };

/** Headings with how many publications carry them; those with others below unfold in place. */
export function HeadingTable({
  lines,
  current = null,
  to,
  label,
}: {
  lines: Line[];
  current?: string | null;
  to: (label: string) => string;
  label: string;
}) {
  return (
    <table aria-label={label} className="mt-2 w-full">
      <thead>
        <tr className="text-[13px] text-soft">
          <th scope="col" className="text-left font-normal">
            heading
          </th>
          <th scope="col" className="w-20 text-right font-normal">
            alone
          </th>
          <th scope="col" className="w-32 text-right font-normal">
            <Own word="with narrower" />
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <HeadingRow key={line.label} line={line} above={[]} shown={{ current, to }} />
        ))}
      </tbody>
    </table>
  );
}

const INDENT = 18;

/** A heading, and those below it once it is unfolded. `above`: what it hangs below, from the top. */
function HeadingRow({ line, above, shown }: { line: Line; above: string[]; shown: Shown }) {
  const [open, setOpen] = useState(false);
  // A circle ends where it began.
  const unfolds = line.below > 0 && !above.includes(line.label);
  return (
    <>
      <tr
        className={`border-b border-base-300 ${line.label === shown.current ? 'bg-base-200' : ''}`}
      >
        <th scope="row" className="py-1 text-left font-normal">
          <span className="flex items-baseline" style={{ paddingLeft: above.length * INDENT }}>
            {unfolds ? (
              <Act
                className="w-[24px] flex-none justify-center"
                aria-expanded={open}
                aria-label={`${open ? 'Fold' : 'Unfold'} ${line.label}`}
                onClick={() => setOpen((now) => !now)}
              >
                {open ? '−' : '+'}
              </Act>
            ) : (
              <span className="w-[24px] flex-none" />
            )}
            <Link
              className="min-w-0 font-serif text-[16px] hover:underline"
              to={shown.to(line.label)}
            >
              {line.label}
            </Link>
            {line.by && <span className="ml-2 text-[13px] text-soft">by “{line.by}”</span>}
            {line.retired && <span className="ml-2 text-[13px] text-soft">retired</span>}
          </span>
        </th>
        <td className="text-right">{line.count.toLocaleString('en-GB')}</td>
        <td className="text-right">
          {line.below > 0 ? line.withNarrower.toLocaleString('en-GB') : ''}
        </td>
      </tr>
      {open && <Below line={line} above={[...above, line.label]} shown={shown} />}
    </>
  );
}

function Below({ line, above, shown }: { line: Line; above: string[]; shown: Shown }) {
  const here = useHere();
  const heading = useHeading(here.id, line.label);
  if (heading.data?.label !== line.label) {
    return (
      <tr>
        <td colSpan={3} className="py-1 text-soft">
          {heading.error ? heading.error.message : '…'}
        </td>
      </tr>
    );
  }
  return heading.data.narrower.map((below) => (
    <HeadingRow key={below.label} line={below} above={above} shown={shown} />
  ));
}
