import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, day, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useSay } from './api';
import { isOpen } from './requests';
import { TellState } from './TellState';

/** How one copy request stands, who waits for it, and what can be said of it. */
export function RequestLine({ request }: { request: Schema['RequestShown'] }) {
  const here = useHere();
  const say = useSay(here.id, request.id);
  const [isTelling, setTelling] = useState(false);
  const open = isOpen(request);
  return (
    <div>
      <p>
        <b className="font-semibold">
          {request.author ? 'letter to the author, ' : ''}
          {request.state}
        </b>
        <span className="text-soft">
          {' · '}
          {open
            ? `waiting ${counted(request.days, 'day')}`
            : request.ended && `${day(request.ended)}, after ${counted(request.days, 'day')}`}
          {request.lender && ` · ${request.lender}`}
          {' · '}
          {request.wanted.map((one) => `${one.name} on ${shortDay(one.at)}`).join(', ')}
        </span>
      </p>
      {request.state === 'delivered' && <Copy request={request} />}
      {request.reason && <p className="text-soft">“{request.reason}”</p>}
      {request.trouble && (
        <p className="text-soft">
          {open ? 'The library could not be reached: ' : 'The copy did not come here: '}
          {request.trouble}
        </p>
      )}
      {request.state === 'asked back' && request.question && mayWrite(here) && (
        <Answer
          question={request.question}
          pending={say.isPending}
          onAnswer={(text) => say.mutate({ what: 'answer', text })}
        />
      )}
      {say.error && (
        <p role="alert" className="text-error">
          {say.error.message}
        </p>
      )}
      {open && mayWrite(here) && (
        <p className="flex flex-wrap gap-x-4">
          {!request.byHand && (
            <Act onClick={() => say.mutate({ what: 'hurry' })}>How does it stand?</Act>
          )}
          {request.byHand && <Act onClick={() => setTelling(true)}>Say how it stands</Act>}
          <Act
            onClick={() => say.mutate({ what: 'state', state: 'withdrawn', reason: '', link: '' })}
          >
            Nobody needs it any more
          </Act>
        </p>
      )}
      {isTelling && (
        <TellState
          onClose={() => setTelling(false)}
          onTell={(told) =>
            say.mutate({ what: 'state', ...told }, { onSuccess: () => setTelling(false) })
          }
          error={say.error}
          pending={say.isPending}
        />
      )}
    </div>
  );
}

/** Where the copy is: among the group's texts, or only where the library put it for a while. */
function Copy({ request }: { request: Schema['RequestShown'] }) {
  const here = useHere();
  const { publication, link, until, use, isKept } = request;
  return (
    <p className="flex flex-wrap items-baseline gap-x-4">
      {isKept && publication && (
        <Link className="act" to={`/g/${here.id}/p/${publication.id}/text`}>
          read here
        </Link>
      )}
      {link && (
        <span>
          <a className="act" href={link} target="_blank" rel="noreferrer">
            Open the copy
          </a>
          {until && <span className="text-soft"> at the library until {day(until)}</span>}
        </span>
      )}
      {use && <span className="text-soft">{use}</span>}
    </p>
  );
}

function Answer({
  question,
  pending,
  onAnswer,
}: {
  question: string;
  pending: boolean;
  onAnswer: (text: string) => void;
}) {
  const [text, setText] = useState('');
  return (
    <form
      className="my-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onAnswer(text);
      }}
    >
      <label>
        The library asks: “{question}”
        <input
          className="field mt-1 block w-96 max-w-full"
          maxLength={1000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <Act type="submit" disabled={pending || !text.trim()}>
        Answer
      </Act>
    </form>
  );
}
