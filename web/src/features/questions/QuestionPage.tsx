import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { Act, Failed, moment, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useQuestion, useQuestionActs, type Question } from './api';
import { Proposal } from './Proposal';
import { SeenThen } from './SeenThen';

/** A question, what was looked at, and what was said to it. */
export function QuestionPage() {
  const here = useHere();
  const { id = '' } = useParams();
  const found = useQuestion(here.id, id);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="the question" />;
  const { question, words } = found.data;
  const { mine, by, to, at, text, seen } = question;
  return (
    <div className="page">
      <title>Question · Quiet Lantern</title>
      <Title help="questions">
        {mine ? `You asked ${to ?? 'the librarian'}` : `${by} asks ${to ? 'you' : 'the librarian'}`}
      </Title>
      <p className="mt-2 max-w-[65ch] font-serif text-[17px] whitespace-pre-line">{text}</p>
      <p className="text-[13px] text-soft">{moment(at)}</p>
      <SeenThen question={question} group={here.id} />
      <section aria-label="What was said" className="mt-4 max-w-[65ch]">
        <h2 className="small-head">What was said</h2>
        {words.length === 0 && <p className="text-soft">Nothing yet.</p>}
        <ul>
          {words.map((word) => (
            <li key={word.id} className="border-b border-base-300 py-2">
              <p className="text-[13px] text-soft">
                <b className="font-semibold text-base-content">{word.mine ? 'You' : word.by}</b> ·{' '}
                {moment(word.at)}
              </p>
              <p className="whitespace-pre-line">{word.text}</p>
              {word.q && <Proposal question={question} word={word} q={word.q} old={seen.q} />}
            </li>
          ))}
        </ul>
      </section>
      <Say question={question} />
      <p className="mt-4">
        <Link className="act" to={`/g/${here.id}/questions`}>
          All questions
        </Link>
      </p>
    </div>
  );
}

function Say({ question }: { question: Question }) {
  const here = useHere();
  const { answer, stand } = useQuestionActs(here.id);
  const [text, setText] = useState('');
  const { id, mine, closed, version, seen, waitsFor } = question;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (answer.isPending || !text.trim()) return;
    // What is typed while it is sent stays.
    const clear = () => setText((now) => (now === text ? '' : now));
    answer.mutate({ question: id, text, q: null }, { onSuccess: clear });
  };
  return (
    <form onSubmit={submit} className="mt-3 max-w-[65ch]">
      <p role="status" className="text-[13px] text-soft">
        {closed
          ? 'It is closed: nothing more is needed. Whatever is said opens it again.'
          : waitsFor === 'me'
            ? 'It waits for you.'
            : 'It waits for the other side.'}
      </p>
      <label className="block">
        <span className="sr-only">What you say to it</span>
        <textarea
          className="field block w-full"
          rows={3}
          maxLength={4000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {!mine && seen.q && (
        <p className="mt-1 text-[13px] text-soft">
          To propose another sheet, open what they saw, change it, and choose “Ask a colleague…”
          there: it can be an answer to this.
        </p>
      )}
      {answer.error && (
        <p role="alert" className="text-error">
          {answer.error.message}
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-x-4">
        <button type="submit" className="act act-main" disabled={answer.isPending || !text.trim()}>
          Say it
        </button>
        {mine && (
          <Act
            disabled={stand.isPending}
            onClick={() => stand.mutate({ id, closed: !closed, took: null, version })}
          >
            {closed ? 'Ask it again' : 'Nothing more is needed'}
          </Act>
        )}
      </p>
    </form>
  );
}
