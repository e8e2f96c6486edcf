import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { MARKS, useJustSaid, useMark, type MarkWord } from '../publication';
import { useHere } from '../session';
import { whatHappened } from './occasions';

/** A mark that is chosen already, and made by one button. */
export function MarkForm({
  leaf,
  round,
  on = '',
  said,
}: {
  leaf: Schema['Leaf'];
  round: Schema['RoundView'] | undefined;
  /** The occasion on which it comes again; empty: the first. */
  on?: string;
  said: MarkWord;
}) {
  const here = useHere();
  const mark = useMark(here);
  // Without a folder there is nothing to keep it in.
  const marks = MARKS.filter((one) => one.word !== 'keep' || round?.folder.id);
  const offered = marks.some((one) => one.word === said);
  const [word, setWord] = useState<MarkWord>(offered ? said : 'seen');
  const [reason, setReason] = useState('');
  const marked = on ? `${leaf.publication.id}@${on}` : leaf.publication.id;
  const just = useJustSaid(here).get(marked);
  const arrival = round?.arrivals.find((one) => one.id === marked);
  const mine = just
    ? just.mark
    : on
      ? arrival?.lamps.find((one) => one.member === here.me.id)?.mark
      : leaf.said.find((one) => one.member === here.me.id)?.mark;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // A second key on the heels of the first says nothing else.
    if (just?.mark === word && just.reason === reason) return;
    mark(
      {
        publications: [marked],
        mark: word,
        reason,
        ...(round && { round: round.round.id }),
      },
      leaf.publication.title,
    );
  };
  return (
    <form onSubmit={submit} aria-label="Your mark" className="my-3 border-y border-base-300 py-3">
      {on && arrival && (
        <p>
          <b className="font-semibold">{whatHappened(arrival)}</b>
        </p>
      )}
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
            {one.word === 'keep'
              ? on
                ? 'Keep it still'
                : `Keep in ${round?.folder.name}`
              : one.label}
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
        <Act main type="submit">
          Say it
        </Act>
        {round && (
          <Link className="act" to={`/g/${here.id}/r/${round.round.id}?p=${marked}`}>
            Its round, {round.round.alertName}
          </Link>
        )}
      </p>
    </form>
  );
}
