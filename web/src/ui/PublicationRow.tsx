import type { MouseEvent, ReactNode } from 'react';
import { Link } from 'react-router';
import { Marked, type Span } from './Marked';
import { people } from './text';

type Facts = {
  title: string;
  authors: string[];
  where: string;
  year?: number | null;
  kind: string;
  version: string;
  pages: number;
  citedBy: number;
  access: string;
  withdrawn: boolean;
  retracted: boolean;
};

/** Lamp, title, one line of facts in a fixed order. The title is a true link. */
export function PublicationRow({
  lamp,
  publication,
  to,
  state,
  tick,
  lit = [],
  before,
  after,
  below,
  opened = false,
  quiet = false,
  chosen = false,
  onChoose,
}: {
  lamp: ReactNode;
  publication: Facts;
  to: string;
  state?: unknown;
  tick?: ReactNode;
  lit?: readonly Span[];
  before?: ReactNode;
  after?: ReactNode;
  below?: ReactNode;
  opened?: boolean;
  quiet?: boolean;
  chosen?: boolean;
  onChoose?: () => void;
}) {
  const choose = (event: MouseEvent) => {
    if (!onChoose || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    // Enter on what is chosen already follows the link; a click has detail 1 and more.
    if (chosen && event.detail === 0) return;
    event.preventDefault();
    onChoose();
  };
  return (
    <div className="flex gap-2.5 px-4 py-[7px] lg:pl-6">
      {tick}
      {lamp}
      <div className="min-w-0 flex-1">
        <Link
          to={to}
          state={state}
          onClick={choose}
          className={`line-clamp-2 font-serif text-[15.5px] leading-tight lg:line-clamp-1 ${
            quiet || opened ? 'text-soft' : 'font-medium'
          }`}
        >
          <Marked text={publication.title} spans={lit} />
        </Link>
        <p className="truncate text-[13px] text-soft">
          {before}
          {publication.retracted && <b className="font-semibold text-error">retracted · </b>}
          {facts(publication)}
          {opened && ' · opened'}
          {after}
        </p>
        {below}
      </div>
    </div>
  );
}

function facts(p: Facts): string {
  return [
    people(p.authors),
    p.where,
    p.year ?? 'no year',
    p.version === 'final' || p.version === p.kind ? p.kind : `${p.kind}, ${p.version}`,
    p.pages ? `${p.pages} p` : '',
    p.citedBy ? `cited by ${p.citedBy}` : '',
    p.access,
    p.withdrawn ? 'withdrawn' : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
