import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schema } from '../../api';
import { Act, clock, day, Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { sheetHolding, shortText } from '../strategy';
import { useTrail } from './api';
import { Opened } from './Opened';

/** Every step of the member's searching, by day, and every publication opened. */
export function TrailPage() {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const words = params.get('words') ?? '';
  const opened = params.get('part') === 'opened';
  const set = (key: string, value: string) =>
    setParams(
      (now) => {
        if (value) now.set(key, value);
        else now.delete(key);
        return now;
      },
      { replace: true },
    );
  return (
    <div className="page">
      <title>Trail · Quiet Lantern</title>
      <h1 className="mb-1 font-serif text-[21px] font-semibold">Trail</h1>
      <p className="max-w-[65ch] text-soft">
        Every search you settled, with what it found then, and every publication you opened. It is
        yours alone.
      </p>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <Act aria-pressed={!opened} onClick={() => set('part', '')}>
          Steps
        </Act>
        <Act aria-pressed={opened} onClick={() => set('part', 'opened')}>
          Opened
        </Act>
        <a className="act" href={`/api/groups/${here.id}/trail/steps.csv`}>
          Download as CSV
        </a>
        <a className="act" href={`/api/groups/${here.id}/trail/steps.txt`}>
          Download as text
        </a>
        <Act onClick={() => window.print()}>Print</Act>
      </div>
      {opened ? (
        <Opened />
      ) : (
        <>
          <label className="mt-3 block">
            <span className="sr-only">Words of a step</span>
            <input
              className="field w-80 max-w-full"
              placeholder="look for a step by its words"
              value={words}
              onChange={(event) => set('words', event.target.value)}
            />
          </label>
          <Steps words={words} />
        </>
      )}
    </div>
  );
}

function Steps({ words }: { words: string }) {
  const here = useHere();
  const navigate = useNavigate();
  const trail = useTrail(here.id, words);
  const [ticked, setTicked] = useState<string[]>([]);
  if (trail.error) return <Failed error={trail.error} />;
  if (!trail.data) return <Waiting what="the trail" />;
  const steps = trail.data.pages.flatMap((page) => page.steps);
  const days = new Map<string, Schema['TrailStep'][]>();
  for (const step of steps) days.set(day(step.at), [...(days.get(day(step.at)) ?? []), step]);
  const tick = (q: string) =>
    setTicked((now) =>
      now.includes(q) ? now.filter((each) => each !== q) : [...now, q].slice(-2),
    );
  // Newest first on the page: the earlier one is what the later one is held against.
  const [later, earlier] = [...new Set(steps.map((step) => step.q))].filter((q) =>
    ticked.includes(q),
  );
  return (
    <>
      <p className="mt-2 min-h-[24px]" role="status">
        {later && earlier ? (
          <Act
            main
            onClick={() => navigate(`/g/${here.id}/compare?one=q:${earlier}&other=q:${later}`)}
          >
            Compare the two
          </Act>
        ) : (
          <span className="text-soft">
            {steps.length === 0
              ? words
                ? `No step has “${words}” in it.`
                : 'Nothing was settled yet: a search becomes a step by Enter, or when it stood for two seconds.'
              : ticked.length === 1
                ? 'Tick one more to compare the two.'
                : 'Tick two steps to compare them.'}
          </span>
        )}
      </p>
      {[...days].map(([name, those]) => (
        <section key={name} aria-label={name} className="mt-3 max-w-[60rem]">
          <h2 className="small-head">{name}</h2>
          <ol>
            {those.map((step) => (
              <Step
                key={step.id}
                step={step}
                ticked={ticked.includes(step.q)}
                onTick={() => tick(step.q)}
              />
            ))}
          </ol>
        </section>
      ))}
      {trail.hasNextPage && (
        <Act className="mt-3" onClick={() => void trail.fetchNextPage()}>
          Earlier steps
        </Act>
      )}
    </>
  );
}

function Step({
  step,
  ticked,
  onTick,
}: {
  step: Schema['TrailStep'];
  ticked: boolean;
  onTick: () => void;
}) {
  const here = useHere();
  const text = shortText(step.strategy);
  return (
    <li className="grid grid-cols-[20px_48px_minmax(0,1fr)_auto] items-baseline gap-x-2 border-b border-base-300 py-1.5">
      <input
        type="checkbox"
        aria-label={`Tick ${text}`}
        className="size-[14px] accent-primary"
        checked={ticked}
        onChange={onTick}
      />
      <span className="text-[13px] text-soft">{clock(step.at)}</span>
      <div className="min-w-0">
        <Link
          className="font-serif text-[16px] break-words hover:underline"
          to={`/g/${here.id}/q/${step.q}`}
        >
          {text}
        </Link>
        {step.opened.map((publication) => (
          <p key={publication.id} className="text-[13px] text-soft">
            opened{' '}
            <Link className="hover:underline" to={`/g/${here.id}/p/${publication.id}`}>
              {publication.title}
            </Link>
          </p>
        ))}
        <p className="flex flex-wrap gap-x-4 text-[13px]">
          <Link className="act" to={sheetHolding(here.id, `q:${step.q}`, true)}>
            Put on the sheet as a line
          </Link>
          <Link className="act" to={`/g/${here.id}/report?of=q:${step.q}`}>
            Report
          </Link>
        </p>
      </div>
      <span className="text-right">
        <b className="font-semibold">{step.count.toLocaleString('en-GB')}</b>
        {step.before != null && step.before !== step.count && (
          <span className="block text-[13px] text-soft">
            was {step.before.toLocaleString('en-GB')}
          </span>
        )}
      </span>
    </li>
  );
}
