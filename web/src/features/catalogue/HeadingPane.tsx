import { Fragment } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Failed, listed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useHeading } from './api';
import { HeadingAsked } from './HeadingAsked';
import { HeadingTable } from './HeadingTable';

/** One heading: what it means, where it stands, and how it is put on the sheet. */
export function HeadingPane({ name, to }: { name: string; to: (label: string) => string }) {
  const here = useHere();
  const found = useHeading(here.id, name);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the heading" />;
  const heading = found.data;
  return (
    <>
      <p className="text-[13px] text-soft">
        {heading.path.map((above) => (
          <Fragment key={above}>
            <Link className="hover:underline" to={to(above)}>
              {above}
            </Link>
            {' › '}
          </Fragment>
        ))}
      </p>
      <h2 className="font-serif text-[21px] leading-[1.22] font-semibold">{heading.label}</h2>
      {heading.retired && (
        <p className="font-semibold">
          No longer given to new publications
          {heading.replacedBy.length > 0 && `; replaced by ${listed(heading.replacedBy)}`}.
        </p>
      )}
      {heading.note && (
        <p className="mt-1 max-w-[65ch] whitespace-pre-line font-serif text-[15px]">
          {heading.note}
        </p>
      )}
      {heading.names.length > 0 && (
        <p className="mt-1 text-soft">Also called {heading.names.join(', ')}</p>
      )}
      {heading.former.length > 0 && (
        <p className="text-soft">Formerly {heading.former.join(', ')}</p>
      )}
      <HeadingAsked key={heading.uri} heading={heading} />
      <Beside title="Narrower" lines={heading.narrower} to={to} />
      <Beside title="Broader" lines={heading.broader} to={to} />
      <Beside title="Related" lines={heading.related} to={to} />
    </>
  );
}

function Beside({
  title,
  lines,
  to,
}: {
  title: string;
  lines: Schema['HeadingLine'][];
  to: (label: string) => string;
}) {
  if (lines.length === 0) return null;
  return (
    <section aria-label={title} className="mt-4">
      <h3 className="small-head">{title}</h3>
      <HeadingTable lines={lines} to={to} label={`${title} headings`} />
    </section>
  );
}
