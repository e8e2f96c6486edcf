import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schema } from '../../api';
import { counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import type { Strategy } from '../strategy';
import { useChange, useRevise } from './api';

/** Shows what a change gains and loses, with titles, and saves it. */
export function ReviseDialog({
  saved,
  q,
  strategy,
  onClose,
}: {
  saved: Schema['SavedSearch'];
  q: string | undefined;
  strategy: Strategy;
  onClose: () => void;
}) {
  const here = useHere();
  const navigate = useNavigate();
  const [comment, setComment] = useState('');
  const [announce, setAnnounce] = useState(false);
  const change = useChange(here.id, saved.id, strategy);
  const revise = useRevise(here.id, saved.id);
  const data = change.data;
  const compared =
    q && data ? `/g/${here.id}/compare?one=s:${saved.id}:${data.n}&other=q:${q}` : undefined;
  const submit = () =>
    data &&
    revise.mutate(
      { strategy, revision: data.n, comment, announce },
      { onSuccess: () => void navigate(`/g/${here.id}/s/${saved.id}`) },
    );
  return (
    <DialogForm
      wide
      title={`Save “${saved.name}” as revision ${(data?.n ?? saved.revision) + 1}`}
      act="Save"
      leave="Don’t save"
      disabled={!data || revise.isPending}
      error={revise.error ?? change.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {data && (
        <div role="status">
          <p className="mt-2">
            {counted(data.now, 'publication')} so far, {data.next.toLocaleString('en-GB')} after the
            change.
            {data.gained.count + data.lost.count === 0 &&
              ' The same publications are found by other words.'}
          </p>
          <div className="mt-2 grid gap-x-8 gap-y-2 md:grid-cols-2">
            <Side name="gained" side={data.gained} all={compared && `${compared}&part=gained`} />
            <Side name="lost" side={data.lost} all={compared && `${compared}&part=lost`} />
          </div>
        </div>
      )}
      <label className="mt-3 block">
        <span className="small-head">
          {saved.documented ? 'Why it is changed' : 'Why it is changed, if you like'}
        </span>
        <textarea
          className="field block w-full"
          rows={2}
          required={saved.documented}
          value={comment}
          maxLength={2000}
          onChange={(event) => setComment(event.target.value)}
        />
      </label>
      {saved.alert && (
        <label className="mt-2 flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={announce}
            onChange={(event) => setAnnounce(event.target.checked)}
          />
          <span>
            Show what is gained in the alert’s round, to be reviewed. Otherwise the alert takes it
            as known, and tells what comes from now on.
          </span>
        </label>
      )}
    </DialogForm>
  );
}

function Side({
  name,
  side,
  all,
}: {
  name: string;
  side: Schema['SideShown'];
  all: string | undefined;
}) {
  const more = side.count - side.titles.length;
  return (
    <section aria-label={name}>
      <h3 className="small-head">
        {side.count.toLocaleString('en-GB')} {name}
      </h3>
      <ul className="max-h-[30vh] overflow-y-auto">
        {side.titles.map((each) => (
          <li key={each.id} className="truncate font-serif" title={each.title}>
            {each.title}
          </li>
        ))}
      </ul>
      {more > 0 && <p className="text-soft">and {more.toLocaleString('en-GB')} more</p>}
      {all && side.count > 0 && (
        <Link className="act" to={all}>
          Compare them whole
        </Link>
      )}
    </section>
  );
}
