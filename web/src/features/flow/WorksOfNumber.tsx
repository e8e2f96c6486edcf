import { Link } from 'react-router';
import { Act, counted, Failed, people, useAddress, Waiting } from '../../ui';
import { useHere } from '../session';
import { useFlowWorks, type AskedFlow } from './api';

/** The works that one number counts. */
export function WorksOfNumber({
  asked,
  number,
  label,
  n,
}: {
  asked: AskedFlow;
  number: string;
  label: string;
  n: number;
}) {
  const here = useHere();
  const { change } = useAddress();
  const found = useFlowWorks(here.id, asked, number);
  const works = found.data?.pages.flatMap((page) => page.works) ?? [];
  const count = found.data?.pages[0]?.count ?? 0;
  return (
    <section aria-label={label} className="min-w-0 print:hidden">
      <p className="flex flex-wrap items-baseline gap-x-4">
        <b className="font-serif text-[16px] font-semibold">
          {label}: {n.toLocaleString('en-GB')}
        </b>
        <Act onClick={() => change('n', '', { replace: true })}>All numbers</Act>
      </p>
      {found.data && count !== n && (
        <p className="text-soft">They are records of {counted(count, 'work')}.</p>
      )}
      {found.error && <Failed error={found.error} again={() => void found.refetch()} />}
      {!found.data && !found.error && <Waiting what="the works" />}
      <ol className="mt-1">
        {works.map((work) => (
          <li key={work.id} className="border-b border-base-300 py-1.5">
            <Link className="font-serif text-[15px]" to={`/g/${here.id}/p/${work.id}`}>
              {work.title}
            </Link>
            <p className="text-[13px] text-soft">
              {[people(work.authors), work.where, work.year].filter(Boolean).join(' · ')}
            </p>
          </li>
        ))}
      </ol>
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          The next fifty
        </Act>
      )}
    </section>
  );
}
