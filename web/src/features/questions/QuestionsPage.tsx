import { Link } from 'react-router';
import { Choice, counted, Failed, PageLinks, shortDay, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useQuestions, type Question, type Which } from './api';
import { seenName } from './SeenThen';

const NONE: Record<Which, string> = {
  waiting: 'No question waits for you.',
  open: 'Nothing is asked. A colleague is asked from a sheet, a list or a publication.',
  ended: 'No question of yours, or to you, has ended yet.',
};

/** What the member asked, and is asked. */
export function QuestionsPage() {
  const here = useHere();
  const address = useAddress();
  const asked = address.params.get('of');
  const of: Which = asked === 'open' || asked === 'ended' ? asked : 'waiting';
  const from = Number(address.params.get('from')) || 0;
  const page = useQuestions(here.id, of, from);
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="the questions" />;
  const { questions, waiting, open, ended, next } = page.data;
  const choices: [Which, string, number][] = [
    ['waiting', 'wait for you', waiting],
    ['open', 'open', open],
    ['ended', 'ended', ended],
  ];
  return (
    <div className="page">
      <title>Questions · Quiet Lantern</title>
      <Title help="questions" className="mb-2">
        Questions
      </Title>
      <nav aria-label="Which questions" className="flex flex-wrap gap-x-4">
        {choices.map(([which, name, n]) => (
          <Choice key={which} on={of === which} to={address.to('of', which, 'from')}>
            {name} {n.toLocaleString('en-GB')}
          </Choice>
        ))}
      </nav>
      {questions.length === 0 && <p className="mt-4 max-w-[65ch] text-soft">{NONE[of]}</p>}
      <ul className="mt-3 max-w-[52rem]">
        {questions.map((one) => (
          <QuestionLine key={one.id} question={one} group={here.id} />
        ))}
      </ul>
      <PageLinks from={from} next={next} to={(page) => address.to('from', page)} />
    </div>
  );
}

function QuestionLine({ question, group }: { question: Question; group: string }) {
  const { id, text, mine, by, to, at, words, lastBy, lastAt, seen } = question;
  return (
    <li className="border-b border-base-300 py-2">
      <Link
        className="line-clamp-2 max-w-[65ch] font-serif text-[15.5px]"
        to={`/g/${group}/questions/${id}`}
      >
        {text}
      </Link>
      <p className="text-[13px] text-soft">
        {mine ? `you asked ${to ?? 'the librarian'}` : `${by} asks ${to ? 'you' : 'the librarian'}`}{' '}
        on {shortDay(at)} about {seenName(seen)}
        {words > 0 &&
          ` · ${counted(words, 'answer')}, the last by ${lastBy} on ${shortDay(lastAt)}`}
      </p>
    </li>
  );
}
