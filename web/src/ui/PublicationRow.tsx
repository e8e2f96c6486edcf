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
  /** Whether it is dated later than today. */
  ahead?: boolean;
};

/**
 * Lamp, title, one line of facts in a fixed order. The title is a true link to the publication's
 * page; pressing anywhere else in the row chooses it. The word of access is never cut off.
 */
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
  onChoose?: () => void;
}) {
  const choose = (event: MouseEvent) => {
    if (event.target instanceof Element && event.target.closest('a, button, input, label')) return;
    onChoose?.();
  };
  return (
    // By keyboard rows are chosen with the arrows of their list.
    <div
      className={`flex gap-2.5 px-4 py-[7px] lg:pl-6 ${onChoose ? 'cursor-pointer' : ''}`}
      onClick={choose}
    >
      {tick}
      {lamp}
      <div className="min-w-0 flex-1">
        <Link
          to={to}
          state={state}
          className={`line-clamp-2 w-fit max-w-full font-serif text-[15.5px] leading-tight hover:underline lg:line-clamp-1 ${
            quiet || opened ? 'text-soft' : 'font-medium'
          }`}
        >
          <Marked text={publication.title} spans={lit} />
        </Link>
        <p className="flex text-[13px] text-soft">
          <span className="truncate">
            {before}
            {publication.retracted && <b className="font-semibold text-error">retracted · </b>}
            {facts(publication)}
            {opened && ' · opened'}
            {after}
          </span>
          <span className="flex-none whitespace-pre"> · {publication.access}</span>
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
    p.ahead ? `dated ahead: ${p.year}` : (p.year ?? 'no year'),
    p.version === 'final' || p.version === p.kind ? p.kind : `${p.kind}, ${p.version}`,
    p.pages ? `${p.pages} p` : '',
    p.citedBy ? `cited by ${p.citedBy}` : '',
    p.withdrawn ? 'withdrawn' : '',
  ]
    .filter(Boolean)
    .join(' · ');
}
