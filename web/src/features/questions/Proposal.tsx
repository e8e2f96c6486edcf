import { Link, useNavigate } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed } from '../../ui';
import { useHere } from '../session';
import { useProposal, useQuestionActs, type Question } from './api';

/** A sheet that is proposed: what it gains and loses, before it is taken. */
export function Proposal({
  question,
  word,
  q,
  old,
}: {
  question: Question;
  word: Schema['WordShown'];
  /** The proposed sheet. */
  q: string;
  /** The sheet that was asked about; absent: something else was. */
  old: string | null | undefined;
}) {
  const here = useHere();
  const navigate = useNavigate();
  const { stand } = useQuestionActs(here.id);
  const sheet = `/g/${here.id}/q/${q}`;
  const of = new URLSearchParams(question.seen.place.split('?')[1]).get('of');
  // What was asked about a saved search is taken into it.
  const toTake = of ? `${sheet}?of=${of}` : sheet;
  const take = () =>
    stand.mutate(
      { id: question.id, closed: true, took: word.id, version: question.version },
      { onSuccess: () => void navigate(toTake) },
    );
  return (
    <section
      aria-label={`Proposed by ${word.by}`}
      className="mt-2 border-l-2 border-base-300 pl-3 text-[14px]"
    >
      <p>
        <span className="text-soft">Proposed: </span>
        {word.sheet}
        {word.found != null && (
          <span className="text-soft"> · found {counted(word.found, 'publication')}</span>
        )}
      </p>
      {old && old !== q && <Compared one={old} other={q} />}
      <p className="mt-1 flex flex-wrap gap-x-4">
        {question.mine && question.took !== word.id && (
          <Act main disabled={stand.isPending} onClick={take}>
            Take this sheet
          </Act>
        )}
        {question.took === word.id && <span className="font-semibold">taken</span>}
        <Link className="act" to={sheet}>
          Open the sheet
        </Link>
        {old && old !== q && (
          <Link className="act" to={`/g/${here.id}/compare?one=q:${old}&other=q:${q}`}>
            Compare them whole
          </Link>
        )}
      </p>
    </section>
  );
}

function Compared({ one, other }: { one: string; other: string }) {
  const here = useHere();
  const found = useProposal(here.id, one, other);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <p className="text-faint">comparing…</p>;
  const { gained, lost, newestGained, newestLost } = found.data;
  return (
    <div role="status" className="mt-1 grid gap-x-8 gap-y-1 md:grid-cols-2">
      <Side name="gained" count={gained} titles={newestGained} />
      <Side name="lost" count={lost} titles={newestLost} />
    </div>
  );
}

function Side({
  name,
  count,
  titles,
}: {
  name: string;
  count: number;
  titles: readonly Schema['WorkTitled'][];
}) {
  const here = useHere();
  return (
    <section aria-label={name}>
      <h3 className="small-head">
        {count.toLocaleString('en-GB')} {name}
      </h3>
      <ul>
        {titles.map((one) => (
          <li key={one.id} className="truncate" title={one.title}>
            <Link className="font-serif hover:underline" to={`/g/${here.id}/p/${one.id}`}>
              {one.title}
            </Link>
          </li>
        ))}
      </ul>
      {count > titles.length && (
        <p className="text-soft">and {(count - titles.length).toLocaleString('en-GB')} more</p>
      )}
    </section>
  );
}
