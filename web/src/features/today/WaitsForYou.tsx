import type { Schema } from '../../api';
import { Act, counted, day, shortDay } from '../../ui';
import { useListCounts } from '../arrivals';
import { useHere } from '../session';
import { useLookedAt } from './api';
import { useStopped, type Stopped } from './useStopped';
import { ChangedRows } from './ChangedRows';
import { MeetingRows, useMeetingsSoon } from './MeetingRows';
import { Waits } from './Waits';

/** Everything that waits for the reader; a sentence where nothing does. */
export function WaitsForYou({
  waits,
  questions,
  tasks,
  toCheck,
}: {
  waits: Schema['WaitsFor'];
  questions: Schema['QuestionsPage'];
  tasks: Schema['TasksPage'];
  toCheck: readonly Schema['ToCheck'][];
}) {
  const here = useHere();
  const lookedAt = useLookedAt(here.id);
  const stopped = useStopped(here);
  const meetings = useMeetingsSoon();
  const texts = useListCounts(here.id).data?.mine ?? 0;
  const { arrivals, raised, mentions, copies, changed, annotations, drive } = waits;
  const g = `/g/${here.id}`;
  const all = [
    arrivals,
    raised,
    mentions,
    copies,
    changed,
    annotations,
    drive,
    questions.questions,
    tasks.tasks,
  ].reduce((sum, { length }) => sum + length, 0);
  if (all + texts + toCheck.length + stopped.length + meetings.length === 0) {
    return <p className="mt-2 text-soft">Nothing waits for you.</p>;
  }
  return (
    <ul>
      <MeetingRows meetings={meetings} />
      {arrivals.map((one) => (
        <Waits
          key={one.alert}
          n={one.owed}
          lit
          title={one.name}
          to={`${g}/r/${one.round}`}
          act="Review"
        >
          {one.rounds > 1 ? `in ${counted(one.rounds, 'round')}; ` : ''}
          {one.nobody > 0 ? `nobody has seen ${one.nobody} of them` : 'each was seen by somebody'}
        </Waits>
      ))}
      {mentions.map((one) => (
        <Waits
          key={one.remark}
          title={one.publication.title}
          to={`${g}/p/${one.publication.id}`}
          act="Answer"
          more={
            <Act disabled={lookedAt.isPending} onClick={() => lookedAt.mutate(one.remark)}>
              Looked at
            </Act>
          }
        >
          {one.by} mentions you, {shortDay(one.at)}: “{one.text}”
        </Waits>
      ))}
      {questions.questions.map((one) => (
        <Waits
          key={`question ${one.id}`}
          title={one.text}
          to={`${g}/questions/${one.id}`}
          act={one.mine ? 'Look' : 'Answer'}
        >
          {one.mine
            ? `${one.lastBy} answered on ${shortDay(one.lastAt)}`
            : `${one.by} asks ${one.to ? 'you' : 'the librarian'}, ${shortDay(one.at)}`}
          {one.seen.name && `, about “${one.seen.name}”`}
        </Waits>
      ))}
      {tasks.tasks.map((one) => (
        <Waits key={one.id} title={one.text} to={`${g}/tasks?of=mine`} act="See the task">
          {one.here && `${one.here.title} is here now; `}
          {one.due && `${one.late ? 'was due on' : 'until'} ${day(one.due)}; `}
          noted by {one.by} on {shortDay(one.at)}
          {one.publication && ` for “${one.publication.title}”`}
        </Waits>
      ))}
      {drive.map((one) => (
        <Waits key={`drive ${one.id}`} title={one.path} to={`${g}/drive`} act="Look">
          {one.state === 'waiting' ? 'not on the drive yet' : 'not on the drive'}: {one.trouble}
        </Waits>
      ))}
      {annotations.map((one) => (
        <Waits
          key={`annotations ${one.folder.id}`}
          n={one.toBeRead + one.remarks}
          title={`Annotations in ${one.folder.name}`}
          to={`${g}/f/${one.folder.id}/bibliography`}
          act="Read"
        >
          {[
            one.toBeRead > 0 && `${counted(one.toBeRead, 'annotation')} to be read, and agreed to`,
            one.remarks > 0 && `${counted(one.remarks, 'remark')} on what you write`,
          ]
            .filter(Boolean)
            .join('; ')}
        </Waits>
      ))}
      {raised.map((one) => (
        <Waits
          key={`raised ${one.publication.id}`}
          title={one.publication.title}
          to={`${g}/p/${one.publication.id}`}
          act="Look"
        >
          raised by {one.by} on {shortDay(one.at)}
          {one.question && `: “${one.question}”`}
        </Waits>
      ))}
      <ChangedRows changed={changed} />
      {texts > 0 && (
        <Waits
          n={texts}
          title={`${texts === 1 ? 'A text' : 'Texts'} that you waited for`}
          to={`${g}/arrivals/readable`}
          act="Review"
        >
          can be read now
        </Waits>
      )}
      {copies.map((one) => (
        <Waits
          key={one.request}
          title={one.publication?.title ?? one.described ?? 'A copy'}
          to={one.publication ? `${g}/p/${one.publication.id}` : `${g}/catalogue/requests`}
          act="Read"
        >
          a copy was delivered on {shortDay(one.at)}, after {counted(one.days, 'day')}
        </Waits>
      ))}
      {toCheck.map((one) => (
        <Waits
          key={`${one.search} ${one.n}`}
          title={`${one.name}, revision ${one.n}`}
          to={`${g}/s/${one.search}`}
          act="Check"
        >
          given to you by {one.by} on {day(one.at)}
        </Waits>
      ))}
      {stopped.map((one: Stopped) => (
        <Waits key={`${one.to} ${one.title}`} title={one.title} to={`${g}/${one.to}`} act="See">
          {one.why}
        </Waits>
      ))}
      {(waits.more || questions.next != null || tasks.next != null) && (
        <li className="py-2 text-soft">There is more; it comes here as these are dealt with.</li>
      )}
    </ul>
  );
}
