import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { AccessWord, counted, day, listed, Marked, shortDay } from '../../ui';
import { CitationHere } from '../citing';
import { AskAct } from '../questions';
import { Remarks } from '../remarks';
import { useHere } from '../session';
import { TasksOf } from '../tasks';
import { Ways } from '../text';
import { Abstract } from './Abstract';
import { History } from './History';
import { Outward } from './Outward';
import { Said } from './Said';
import { Versions } from './Versions';
import { Words } from './Words';

/** One publication, with what can be done put in between its facts and its abstract. */
export function Leaf({
  leaf,
  acts,
  lineNumber,
  first,
  children,
}: {
  leaf: Schema['Leaf'];
  acts: ReactNode;
  /** Where the lines of the search stand on its sheet. */
  lineNumber?: (line: string) => number;
  /** What matters most here, right below its abstract. */
  first?: ReactNode;
  children?: ReactNode;
}) {
  const here = useHere();
  const { publication } = leaf;
  return (
    <>
      <h2 className="font-serif text-[21px] leading-[1.22] font-semibold text-balance">
        <Marked text={publication.title} spans={leaf.litTitle} />
      </h2>
      <p className="mt-1 text-soft">
        {leaf.authors.join(', ')} <Where leaf={leaf} />
      </p>
      <Facts leaf={leaf} />
      {publication.withdrawn && (
        <p className="mt-1 font-semibold text-error">Withdrawn by its source</p>
      )}
      {leaf.notices.map((notice) => (
        <p key={notice.doi} className="mt-1 font-semibold text-error">
          {notice.kind.charAt(0).toUpperCase() + notice.kind.slice(1)} published on{' '}
          {day(notice.date)}, doi:{notice.doi}
        </p>
      ))}
      {acts}
      {leaf.abstractText ? (
        <Abstract
          text={leaf.abstractText}
          lit={leaf.litAbstract}
          citation={`${leaf.citation} ${leaf.stableLink}`}
        />
      ) : (
        <p className="mt-2 text-soft">No abstract was supplied.</p>
      )}
      {first}
      <CitationHere key={`citation of ${publication.id}`} leaf={leaf} />
      {children}
      {!here.me.onlyFolders && (
        <>
          <Ways key={`ways to ${publication.id}`} leaf={leaf} />
          <Why leaf={leaf} lineNumber={lineNumber} />
          <Words leaf={leaf} />
          <Outward key={publication.id} publication={publication} />
          <Versions key={`versions of ${publication.id}`} publication={publication.id} />
          <History key={`history of ${publication.id}`} publication={publication.id} />
          <Said leaf={leaf} />
        </>
      )}
      <Remarks
        key={`remarks on ${publication.id}`}
        publication={publication.id}
        may={leaf.mayRemark}
      />
      {!here.me.onlyFolders && (
        <>
          <TasksOf key={`tasks of ${publication.id}`} publication={publication.id} />
          <p className="mt-3">
            <AskAct seen={() => ({ place: `/p/${publication.id}` })} />
          </p>
        </>
      )}
    </>
  );
}

function Where({ leaf }: { leaf: Schema['Leaf'] }) {
  const here = useHere();
  const { host } = leaf;
  const pages = [...new Set([host.firstPage, host.lastPage])].filter(Boolean).join('–');
  const volume = host.volume && ` ${host.volume}${host.issue && `(${host.issue})`}`;
  return (
    <>
      {(host.title || leaf.publisher) && '· '}
      {host.issn && !here.me.onlyFolders ? (
        <Link
          className="font-serif italic underline decoration-base-300 hover:decoration-current"
          to={`/g/${here.id}/catalogue/journals?j=${host.issn}`}
        >
          {host.title}
        </Link>
      ) : (
        <span className="font-serif italic">{host.title || leaf.publisher}</span>
      )}
      {volume}
      {pages && `, ${pages}`} {leaf.publication.year && `· ${leaf.publication.year}`}
    </>
  );
}

function Facts({ leaf }: { leaf: Schema['Leaf'] }) {
  const here = useHere();
  const { id, kind, version, pages, citedBy, access, ground, until, came, ahead, way } =
    leaf.publication;
  const before = [
    kind.charAt(0).toUpperCase() + kind.slice(1),
    version === 'final' || version === kind ? '' : version,
    pages ? counted(pages, 'page') : '',
    citedBy ? `cited by ${citedBy}` : '',
  ].filter(Boolean);
  return (
    <p className="text-soft">
      {before.join(' · ')}
      {' · '}
      <AccessWord access={access} way={way} to={`/g/${here.id}/p/${id}`} />
      {` (${ground}${until ? `, until ${day(until)}` : ''})`}
      {ahead && ' · dated later than today'}
      {` · here since ${shortDay(came)}`}
    </p>
  );
}

function Why({
  leaf,
  lineNumber,
}: {
  leaf: Schema['Leaf'];
  lineNumber: ((line: string) => number) | undefined;
}) {
  const here = useHere();
  if (leaf.why.length === 0) return null;
  const text = `/g/${here.id}/p/${leaf.publication.id}/text`;
  const several = new Set(leaf.why.map((why) => why.line)).size > 1;
  const at = (line: string) => (several && lineNumber ? `line ${lineNumber(line)}: ` : '');
  return (
    <>
      <h3 className="small-head mt-3">Why it is here</h3>
      <p>
        {leaf.why.map((why, n) => (
          <span key={n}>
            {n > 0 && ' · '}
            {at(why.line)}
            {why.typed} in {listed(why.fields)}
            {why.fields.includes('text') && (
              <>
                {' '}
                <Link className="act" to={`${text}?find=${encodeURIComponent(why.typed)}`}>
                  where in the text
                </Link>
              </>
            )}
          </span>
        ))}
      </p>
      {leaf.inside && (
        <blockquote className="mt-1 border-l-2 border-base-300 pl-2.5 font-serif">
          “<Marked text={leaf.inside.text} spans={leaf.inside.lit} />”
          {leaf.inside.label && <span className="text-soft"> (p. {leaf.inside.label})</span>}
        </blockquote>
      )}
    </>
  );
}
