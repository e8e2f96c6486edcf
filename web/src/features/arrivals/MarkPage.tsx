import { useState, type FormEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, Failed, Waiting } from '../../ui';
import { Leaf, MARKS, useLeaf, useMark, type MarkWord } from '../publication';
import { mayWrite, useHere } from '../session';
import { useRound } from './api';

/** Where a mark of a letter leads: the work with the mark chosen, and one button that makes it. */
export function MarkPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const here = useHere();
  const round = params.get('in') ?? '';
  const leaf = useLeaf(here.id, id, null);
  const inRound = useRound(here.id, round);
  const failed = leaf.error ?? inRound.error;
  if (failed) return <Failed error={failed} />;
  if (!leaf.data || (round && !inRound.data)) return <Waiting what="the publication" />;
  const said = MARKS.find(({ word }) => word === params.get('say'));
  return (
    <article className="page">
      <title>{`${leaf.data.publication.title} · Quiet Lantern`}</title>
      <h1 className="sr-only">A mark on a publication</h1>
      <div className="max-w-[52rem]">
        <Leaf
          leaf={leaf.data}
          acts={
            mayWrite(here) && (
              <MarkForm
                key={`${id} ${said?.word ?? ''}`}
                leaf={leaf.data}
                round={inRound.data}
                said={said?.word ?? 'seen'}
              />
            )
          }
        />
      </div>
    </article>
  );
}

function MarkForm({
  leaf,
  round,
  said,
}: {
  leaf: Schema['Leaf'];
  round: Schema['RoundView'] | undefined;
  said: MarkWord;
}) {
  const here = useHere();
  const mark = useMark(here.id);
  const [word, setWord] = useState<MarkWord>(said);
  const [reason, setReason] = useState('');
  const mine = leaf.said.find((one) => one.member === here.me.id)?.mark;
  // Without a folder there is nothing to keep it in.
  const marks = MARKS.filter((one) => one.word !== 'keep' || round?.folder.id);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (mark.isPending) return;
    mark.mutate({
      publications: [leaf.publication.id],
      mark: word,
      reason,
      ...(round && { round: round.round.id }),
    });
  };
  return (
    <form onSubmit={submit} aria-label="Your mark" className="my-3 border-y border-base-300 py-3">
      <p role="status">
        {mine ? (
          <>
            You said: <b>{mine}</b>.
          </>
        ) : (
          'You have said nothing of it yet.'
        )}
      </p>
      <fieldset className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        <legend className="sr-only">Mark</legend>
        {marks.map((one) => (
          <label key={one.word} className="flex min-h-[32px] items-center gap-1.5">
            <input
              type="radio"
              name="mark"
              checked={word === one.word}
              onChange={() => setWord(one.word)}
            />
            {one.word === 'keep' ? `Keep in ${round?.folder.name}` : one.label}
          </label>
        ))}
      </fieldset>
      <label className="mt-1 block">
        <span className="small-head">Reason</span>
        <input
          className="field block w-full"
          maxLength={4000}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <Act main type="submit" disabled={mark.isPending}>
          Say it
        </Act>
        {round && (
          <Link className="act" to={`/g/${here.id}/r/${round.round.id}?p=${leaf.publication.id}`}>
            Its round, {round.round.alertName}
          </Link>
        )}
      </p>
    </form>
  );
}
