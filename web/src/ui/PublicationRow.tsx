import type { MouseEvent, ReactNode } from 'react';
import { Link } from 'react-router';
import { AccessWord, type WayToText } from './AccessWord';
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
  way?: WayToText | null | undefined;
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
      <div className="-my-[5px] min-w-0 flex-1">
        {/* Title and access are two targets above each other: each as high as a finger needs. */}
        <Link
          to={to}
          state={state}
          className={`block w-fit max-w-full py-[3px] font-serif text-[15.5px] leading-tight hover:underline ${
            quiet || opened ? 'text-soft' : 'font-medium'
          }`}
        >
          <span className="line-clamp-2 lg:line-clamp-1">
            <Marked text={publication.title} spans={lit} />
          </span>
        </Link>
        <p className="flex items-baseline text-[13px] text-soft">
          <span className="truncate">
            {before}
            {publication.retracted && <b className="font-semibold text-error">retracted · </b>}
            {facts(publication)}
            {opened && ' · opened'}
            {after}
          </span>
          <span className="flex-none whitespace-pre">
            {' · '}
            <AccessWord access={publication.access} way={publication.way} to={to} />
          </span>
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
