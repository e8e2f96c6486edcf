import { Link } from 'react-router';
import { isProblem, type Schema } from '../../api';
import { Act, counted, Failed, Lamp, listed, PublicationRow, Waiting } from '../../ui';
import { WatchAct } from '../alerts';
import { FollowAct } from '../feeds';
import { useHere } from '../session';
import { presentSheet, sheetLimited, strategyOf } from '../strategy';
import { useIssues, useJournal } from './api';

/** One journal: what it is, what is here of it, what may be read, its issues. */
export function JournalPane({
  issn,
  year,
  onYear,
}: {
  issn: string;
  year: string | null;
  onYear: (year: string) => void;
}) {
  const here = useHere();
  const found = useJournal(here.id, issn);
  if (found.error && isProblem(found.error, 'unknown')) {
    return <p>Nothing is known of a journal with the ISSN {issn}.</p>;
  }
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the journal" />;
  const journal = found.data;
  const titles = journal.line.chosen ?? [];
  return (
    <>
      <h2 className="font-serif text-[21px] leading-[1.22] font-semibold">{journal.title}</h2>
      {journal.former.map((former) => (
        <p key={former.title} className="text-soft">
          Until {former.until ?? 'an unknown year'} called{' '}
          <span className="font-serif italic">{former.title}</span>
        </p>
      ))}
      <p className="mt-1">{facts(journal)}</p>
      <div className="mt-2 flex flex-wrap gap-x-4">
        <Link className="act act-main" to={sheetLimited(here.id, 'journal', titles)}>
          Search only here
        </Link>
        {presentSheet(here.id) && (
          <Link className="act" to={sheetLimited(here.id, 'journal', titles, true)}>
            Limit the present search to it
          </Link>
        )}
        <WatchAct
          name={journal.title}
          strategy={strategyOf([journal.line])}
          sheet={sheetLimited(here.id, 'journal', titles)}
        >
          Set an alert on its new issues
        </WatchAct>
        <FollowAct of={`journal:${issn}`}>Follow it by a feed</FollowAct>
      </div>
      <h3 className="small-head mt-4">What your group may read</h3>
      <MayRead stretches={journal.mayRead} />
      <h3 className="small-head mt-4">In the sources</h3>
      <ul>
        {journal.sources.map((source) => (
          <li key={source.key} className="flex max-w-[30rem] items-baseline gap-x-3">
            <span className="min-w-0 flex-1">{source.name}</span>
            <span className="text-soft">
              {source.first == null
                ? 'nothing'
                : source.first === source.last
                  ? source.first
                  : `${source.first} to ${source.last}`}
            </span>
            <span className="w-12 text-right">{source.count.toLocaleString('en-GB')}</span>
          </li>
        ))}
      </ul>
      <Contents journal={journal} year={year} onYear={onYear} />
    </>
  );
}

function facts(journal: Schema['JournalFacts']): string {
  const { publisher, discipline, since, peerReviewedFrom, count } = journal;
  return [
    publisher,
    `ISSN ${journal.issn}`,
    discipline,
    since == null ? '' : `since ${since}`,
    peerReviewedFrom == null ? 'not peer reviewed' : `peer reviewed since ${peerReviewedFrom}`,
    `${counted(count, 'publication')} here`,
  ]
    .filter(Boolean)
    .join(' · ');
}

function MayRead({ stretches }: { stretches: Schema['Stretch'][] }) {
  if (stretches.length === 0) {
    return (
      <p>Nothing of it is in the group’s holdings. Single articles may be open all the same.</p>
    );
  }
  const year = (date: string | undefined | null) => date?.slice(0, 4);
  return (
    <p>
      {listed(
        stretches.map((stretch) =>
          [
            `${year(stretch.from) ?? 'the first issue'} to ${year(stretch.to) ?? 'now'}`,
            stretch.embargo && `but ${stretch.embargo}`,
            stretch.free && 'open to all',
          ]
            .filter(Boolean)
            .join(', '),
        ),
      )}
      .
    </p>
  );
}

function Contents({
  journal,
  year,
  onYear,
}: {
  journal: Schema['JournalFacts'];
  year: string | null;
  onYear: (year: string) => void;
}) {
  const here = useHere();
  const chosen = Number(year) || journal.years[0]?.year;
  const issues = useIssues(here.id, journal.issn, chosen);
  if (chosen === undefined) return <p className="mt-4 text-soft">Nothing of it is here yet.</p>;
  return (
    <section aria-label="Issues" className="mt-4">
      <h3 className="small-head">Issues</h3>
      <p className="flex flex-wrap gap-x-3" role="group" aria-label="Year">
        {journal.years.map((each) => (
          <Act
            key={each.year}
            aria-pressed={each.year === chosen}
            title={counted(each.count, 'publication')}
            onClick={() => onYear(String(each.year))}
          >
            {each.year}
          </Act>
        ))}
      </p>
      {issues.error && <Failed error={issues.error} />}
      {issues.data?.map((issue) => (
        <section key={`${issue.volume} ${issue.issue}`} aria-label={issueName(issue)}>
          <h4 className="mt-3 font-semibold">{issueName(issue)}</h4>
          <ol className="-mx-4 lg:-ml-6">
            {issue.contents.map((hit) => (
              <li key={hit.publication.id}>
                <PublicationRow
                  publication={hit.publication}
                  to={`/g/${here.id}/p/${hit.publication.id}`}
                  opened={hit.opened}
                  lamp={<Lamp state={hit.lamp} label={`my lamp: ${hit.lamp}`} />}
                />
              </li>
            ))}
          </ol>
        </section>
      ))}
    </section>
  );
}

function issueName(issue: Schema['IssueShown']): string {
  if (!issue.volume && !issue.issue) return 'Without volume or issue';
  return [issue.volume && `Volume ${issue.volume}`, issue.issue && `issue ${issue.issue}`]
    .filter(Boolean)
    .join(', ');
}
