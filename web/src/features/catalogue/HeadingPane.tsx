import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Failed, listed, Waiting } from '../../ui';
import { useHere } from '../session';
import { headingText, SheetLinks } from '../strategy';
import { useHeading } from './api';
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
      {heading.note && <p className="mt-1 max-w-[65ch] font-serif text-[15px]">{heading.note}</p>}
      {heading.names.length > 0 && (
        <p className="mt-1 text-soft">Also called {heading.names.join(', ')}</p>
      )}
      {heading.former.length > 0 && (
        <p className="text-soft">Formerly {heading.former.join(', ')}</p>
      )}
      <Asking key={heading.uri} heading={heading} />
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

/** How the heading is asked for; all that is chosen has to hold of it at once. */
function Asking({ heading }: { heading: Schema['HeadingFacts'] }) {
  const here = useHere();
  const [narrower, setNarrower] = useState(false);
  const [central, setCentral] = useState(false);
  const [aspects, setAspects] = useState<string[]>([]);
  const [names, setNames] = useState(false);
  const [related, setRelated] = useState(false);
  const text = headingText(heading.label, [
    ...(narrower ? ['narrower'] : []),
    ...(central ? ['central'] : []),
    ...aspects,
  ]);
  const n = (count: number) => count.toLocaleString('en-GB');
  const withNarrower = heading.narrower.length > 0;
  return (
    <section aria-label="Search for it" className="mt-3">
      <p>
        Carried by <b>{n(heading.count)}</b> publications
        {withNarrower && `, with narrower ones ${n(heading.withNarrower)}`}
      </p>
      <div className="mt-2 flex flex-col gap-1">
        {withNarrower && (
          <Choice
            on={narrower}
            onChange={setNarrower}
            label="with narrower"
            note="or any heading below it"
            count={heading.withNarrower}
          />
        )}
        <Choice
          on={central}
          onChange={setCentral}
          label="central only"
          note="what the publication is mainly about"
          count={heading.central}
        />
        {heading.aspects.map((aspect) => (
          <Choice
            key={aspect.word}
            on={aspects.includes(aspect.word)}
            onChange={(on) =>
              setAspects((now) =>
                on ? [...now, aspect.word] : now.filter((word) => word !== aspect.word),
              )
            }
            label={aspect.label}
            note={aspect.note}
            count={aspect.count}
          />
        ))}
      </div>
      {(heading.names.length > 0 || heading.related.length > 0) && (
        <div className="mt-2 flex flex-col gap-1">
          <p className="small-head">Widened</p>
          {heading.names.length > 0 && (
            <Choice
              on={names}
              onChange={setNames}
              label="its other names"
              note="as words, wherever they stand"
            />
          )}
          {heading.related.length > 0 && (
            <Choice
              on={related}
              onChange={setRelated}
              label="related headings"
              note={listed(heading.related.map((beside) => beside.label))}
            />
          )}
        </div>
      )}
      <p className="mt-2 font-serif text-[15px]">{text}</p>
      <p className="mt-1 flex flex-wrap gap-x-4">
        <SheetLinks
          group={here.id}
          line={text}
          widened={[...(names ? ['names'] : []), ...(related ? ['related'] : [])]}
          main
        />
      </p>
    </section>
  );
}

function Choice({
  on,
  onChange,
  label,
  note,
  count,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  label: string;
  note: string;
  count?: number;
}) {
  return (
    <label className="flex items-baseline gap-2">
      <input type="checkbox" checked={on} onChange={(event) => onChange(event.target.checked)} />
      <span>{label}</span>
      <span className="min-w-0 grow text-[13px] text-soft">{note}</span>
      {count !== undefined && <span className="text-soft">{count.toLocaleString('en-GB')}</span>}
    </label>
  );
}
