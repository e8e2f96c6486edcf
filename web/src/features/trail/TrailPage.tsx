import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schema } from '../../api';
import { Act, day, Failed, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useTrail } from './api';
import { Opened } from './Opened';
import { Step } from './Step';

/** Every step of the member's searching, by day, and every publication opened. */
export function TrailPage() {
  const here = useHere();
  const { params, change } = useAddress();
  const words = params.get('words') ?? '';
  const opened = params.get('part') === 'opened';
  const set = (key: string, value: string) => change(key, value, { replace: true });
  return (
    <div className="page">
      <title>Trail · Quiet Lantern</title>
      <Title help="trail" className="mb-1">
        Trail
      </Title>
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
      <label className="mt-3 block">
        <span className="sr-only">{opened ? 'Words of a title' : 'Words of a step'}</span>
        <input
          className="field w-80 max-w-full"
          placeholder={opened ? 'look for a title by its words' : 'look for a step by its words'}
          value={words}
          onChange={(event) => set('words', event.target.value)}
        />
      </label>
      {opened ? <Opened words={words} /> : <Steps words={words} />}
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
          <span className="flex flex-wrap items-center gap-x-4">
            <Act
              main
              onClick={() => navigate(`/g/${here.id}/compare?one=q:${earlier}&other=q:${later}`)}
            >
              Compare the two
            </Act>
            <Link className="act" to={report(here.id, ends(steps, earlier, later))}>
              Report from the one to the other
            </Link>
          </span>
        ) : (
          <span className="text-soft">
            {steps.length === 0
              ? words
                ? `No step has “${words}” in it.`
                : 'Nothing was settled yet: a search becomes a step by Enter, or when it stood for two seconds.'
              : ticked.length === 1
                ? 'Tick one more to compare the two.'
                : 'Tick two steps to compare them.'}{' '}
            <Link className="act" to={`/g/${here.id}/compare`}>
              Compare any two searches
            </Link>
          </span>
        )}
      </p>
      {[...days].map(([name, those]) => (
        <section key={name} aria-label={name} className="mt-3 max-w-[60rem]">
          <h2 className="flex items-baseline gap-x-4">
            <span className="small-head">{name}</span>
            <Link className="act text-[13px]" to={report(here.id, those)}>
              Report on the day
            </Link>
          </h2>
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

/** The written account of a stretch of the trail, from its first step to its last. */
function report(group: string, stretch: readonly Schema['TrailStep'][]): string {
  const [last, first] = [stretch[0], stretch[stretch.length - 1]];
  return `/g/${group}/report?of=${encodeURIComponent(`trail:${first?.id}:${last?.id}`)}`;
}

/** Steps from the newest with one strategy to the oldest with another. */
function ends(steps: readonly Schema['TrailStep'][], earlier: string, later: string) {
  const to = steps.findIndex((step) => step.q === later);
  const from = steps.findLastIndex((step) => step.q === earlier);
  return steps.slice(to, from + 1);
}
