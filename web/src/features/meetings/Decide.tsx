import { useLayoutEffect, useRef, useState } from 'react';
import type { Schema } from '../../api';
import { typedJustNow, useKeys, useNotice, Act } from '../../ui';
import { comesAgain } from '../arrivals';
import { FolderChoice, useChosenFolder } from '../keeping';
import { useHere } from '../session';
import { useDecide, type AgendaWork } from './api';
import { useDraft } from './useDraft';
import { outcomeOf } from './words';

/** Milliseconds for which what another wrote down is to be read before it is decided otherwise. */
const JUST_WRITTEN = 1500;

/** What the group comes to on a work: written down by one, for all. */
export function Decide({
  meeting,
  shown,
  leaf,
  isSlip,
  onDecided,
}: {
  meeting: string;
  shown: AgendaWork;
  /** None as long as it is on its way: it tells which folders hold it. */
  leaf: Schema['Leaf'] | undefined;
  /** Whether it came on the heels of the decision before, and was meant for that. */
  isSlip: () => boolean;
  onDecided: () => void;
}) {
  const here = useHere();
  const { work, outcome } = shown;
  const { arrival, round } = work;
  const tell = useNotice();
  const decide = useDecide(here.id, meeting);
  const words = useDraft(meeting, arrival.id, outcome?.words ?? '');
  const choice = useChosenFolder(here.id, { everybodys: true });
  const [picked, setPicked] = useState('');
  const ofAlert = choice.folders.some(({ id }) => id === round?.folder.id) ? round?.folder.id : '';
  const folder = picked || ofAlert || choice.chosen;
  const again = comesAgain(arrival);
  // What the group passes leaves the folder of its alert; other folders have reasons of their own.
  const holding = (leaf?.folders ?? []).filter(({ id }) =>
    choice.folders.some((one) => one.id === id),
  );
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const leaves = (id: string) => (id === round?.folder.id) !== turned.has(id);
  const since = useSince(outcome?.at ?? '');
  const say = (what: string) => {
    if (outcome && outcome.by !== here.me.name && since() < JUST_WRITTEN) {
      tell({ text: `Nothing was decided: ${outcome.by} has just written something down here.` });
      return;
    }
    if (what === 'pass' && !leaf) {
      tell({ text: 'Nothing was decided: which folders hold it is not known yet.' });
      return;
    }
    if (decide.isPending || isSlip()) return;
    decide.mutate(
      {
        publication: arrival.id,
        what,
        words: words.text,
        was: outcome?.what ?? '',
        folder: what === 'keep' && !again ? folder || null : null,
        outOf: what === 'pass' ? holding.map(({ id }) => id).filter(leaves) : [],
      },
      {
        onSuccess: () => {
          words.sent();
          if (what === 'keep' && picked) choice.choose(picked);
          onDecided();
        },
      },
    );
  };
  const pressed = (what: string, key: string) => {
    if (!typedJustNow()) say(what);
    else tell({ text: `Nothing was decided: ${key} came while you were typing. Press it again.` });
  };
  useKeys({
    1: () => pressed('keep', '1'),
    2: () => pressed('pass', '2'),
    3: () => pressed('open', '3'),
    n: () => document.getElementById('words')?.focus(),
  });
  return (
    <section
      aria-label="What you come to"
      className="mt-4 max-w-[46rem] border-y border-base-300 py-3"
    >
      {outcome && (
        <p role="status" className="text-[16px]">
          You came to: <b>{outcomeOf(outcome.what)}</b>
          <span className="text-soft">, written down by {outcome.by}</span>
        </p>
      )}
      <label className="block">
        <span className="small-head">
          What is to be remembered of it{' '}
          <kbd className="key font-sans" aria-hidden="true">
            n
          </kbd>
        </span>
        <textarea
          id="words"
          rows={2}
          maxLength={4000}
          className="field block w-full text-[16px]"
          value={words.text}
          onChange={(event) => words.type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') event.currentTarget.blur();
          }}
        />
      </label>
      {!again && <FolderChoice group={here.id} {...choice} chosen={folder} choose={setPicked} />}
      {holding.map(({ id, name }) => (
        <label key={id} className="mt-1 flex min-h-[28px] items-center gap-2">
          <input
            type="checkbox"
            className="size-[16px] accent-primary"
            checked={leaves(id)}
            onChange={() =>
              setTurned(
                (now) => new Set(now.has(id) ? [...now].filter((one) => one !== id) : [...now, id]),
              )
            }
          />
          A pass takes it out of {name}
        </label>
      ))}
      {decide.error && (
        <p role="alert" className="mt-2 text-error">
          {decide.error.message}
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        <Act
          main
          hint="1"
          disabled={decide.isPending || (!again && !folder)}
          onClick={() => say('keep')}
        >
          {again ? 'We keep it still' : 'We keep it'}
        </Act>
        <Act hint="2" disabled={decide.isPending} onClick={() => say('pass')}>
          We pass it
        </Act>
        <Act hint="3" disabled={decide.isPending} onClick={() => say('open')}>
          We leave it open
        </Act>
      </p>
    </section>
  );
}

/** For how many milliseconds something has been so; long, where it was so from the beginning. */
function useSince(what: string): () => number {
  const seen = useRef({ what, at: -Infinity });
  useLayoutEffect(() => {
    if (seen.current.what !== what) seen.current = { what, at: performance.now() };
  }, [what]);
  return () => performance.now() - seen.current.at;
}
