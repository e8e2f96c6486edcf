import { useState } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, DialogForm, listed } from '../../ui';
import { offered, useHere } from '../session';
import { useQuestionActs, useQuestions } from './api';
import type { Seen } from './AskAct';
import { lastLookedAt } from './seen';

/** Asks a colleague or the librarian; with a sheet, what waits for the member can be answered. */
export function AskDialog({ seen, onClose }: { seen: Seen; onClose: () => void }) {
  const here = useHere();
  const waiting = useQuestions(here.id, 'waiting', 0).data?.questions ?? [];
  const { ask, answer } = useQuestionActs(here.id);
  const [chosen, setQuestion] = useState<string | null>(null);
  const [to, setTo] = useState('');
  const [text, setText] = useState('');
  const others = here.members.filter((one) => one.id !== here.me.id && one.role !== 'guest');
  // Whoever comes from a question most likely answers it.
  const from = waiting.some((one) => one.id === lastLookedAt()) ? lastLookedAt() : '';
  const question = chosen ?? from;
  const librarian = librarianOf(here);
  const whom = to || (librarian ? '' : (others[0]?.id ?? ''));
  const name = others.find((one) => one.id === whom)?.name ?? 'the librarian';
  const answers = seen.q !== undefined && question !== '';
  const submit = () =>
    answers
      ? answer.mutate({ question, text, q: seen.q ?? null }, { onSuccess: onClose })
      : ask.mutate({ to: whom || null, text, place: seen.place, name }, { onSuccess: onClose });
  return (
    <DialogForm
      title={answers ? 'Answer with this sheet' : 'Ask a colleague'}
      act={answers ? 'Answer' : 'Ask'}
      disabled={ask.isPending || answer.isPending || !text.trim()}
      error={ask.error ?? answer.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {seen.q !== undefined && waiting.length > 0 && (
        <ChoiceField
          label="As"
          value={question}
          of={waiting.map((one) => ({
            id: one.id,
            name: `an answer to ${one.lastBy}: “${short(one.text)}”`,
          }))}
          none="a question of your own"
          onChange={setQuestion}
        />
      )}
      {!answers && (
        <ChoiceField
          label="Whom"
          value={whom}
          of={others.map(offered)}
          {...(librarian ? { none: librarian } : {})}
          onChange={setTo}
        />
      )}
      <label className="mt-3 block">
        <span className="small-head">{answers ? 'What you say to it' : 'What you ask'}</span>
        <textarea
          required
          className="field block w-full"
          rows={4}
          maxLength={4000}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <p className="mt-2 max-w-[48ch] text-[13px] text-soft">
        {answers
          ? 'This sheet goes along as a proposal: what it gains and loses is shown before it is taken.'
          : 'What you look at goes along as it is: the same list, in this order, with the work beside it. Nobody else is told.'}
      </p>
    </DialogForm>
  );
}

/** How the group's librarian is chosen; empty where that is only whoever asks. */
function librarianOf(here: Schema['GroupView']): string {
  const librarians = here.members.filter((one) => one.librarian);
  const asked = librarians.length > 0 ? librarians : here.members.filter(isCoordinator);
  const names = asked.filter((one) => one.id !== here.me.id).map((one) => one.name);
  if (names.length === 0) return '';
  return librarians.length > 0
    ? `the librarian: ${listed(names)}`
    : `whoever coordinates: ${listed(names)}`;
}

const isCoordinator = (one: Schema['Person']) => one.role === 'coordinator';

const SHORT = 60;
const short = (text: string) => (text.length > SHORT ? `${text.slice(0, SHORT)}…` : text);
