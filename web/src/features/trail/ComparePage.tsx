import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Act, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { HeldChoice, Results, useHeldTitle, useSearch } from '../search';
import { useHere } from '../session';
import { strategyOf, type Line, type Strategy } from '../strategy';
import { useComparison } from './api';

const PARTS = ['gained', 'lost', 'common'] as const;
type Part = (typeof PARTS)[number];

function held(id: string, name: string, rulesOut: boolean): Line {
  return { id, kind: 'held', strategies: [name], rulesOut };
}

/** What a part of the comparison is, as a strategy: it can be searched on like any other. */
function strategyFor(part: Part, one: string, other: string): Strategy {
  if (part === 'gained') return strategyOf([held('b', other, false), held('a', one, true)]);
  if (part === 'lost') return strategyOf([held('a', one, false), held('b', other, true)]);
  return strategyOf([held('a', one, false), held('b', other, false)]);
}

/** Two strategies beside each other, which the address names; what it does not name is chosen. */
export function ComparePage() {
  const [params] = useSearchParams();
  const one = params.get('one');
  const other = params.get('other');
  if (one && other) return <Comparing one={one} other={other} />;
  return <Choosing one={one} other={other} />;
}

/** Any two: saved searches, steps of the trail, what is on the sheet now. */
function Choosing({ one, other }: { one: string | null; other: string | null }) {
  const here = useHere();
  const navigate = useNavigate();
  const [sides, setSides] = useState({ one, other });
  const choice = (side: 'one' | 'other', label: string) => (
    <section aria-label={label} className="min-w-0">
      <h2 className="small-head">{label}</h2>
      <HeldChoice
        many={false}
        chosen={sides[side] ? [sides[side]] : []}
        onChoose={(name) => setSides((now) => ({ ...now, [side]: name }))}
      />
    </section>
  );
  return (
    <div className="page">
      <title>Comparison · Quiet Lantern</title>
      <Title help="trail">Comparison</Title>
      <p className="mt-1 text-soft">
        Choose two searches: what the second finds and the first does not, what it misses, and what
        both find is then shown beside each other.
      </p>
      {(one !== null || other !== null) && (
        <ol className="mt-3">
          <Side label={one ? 'first' : 'second'} name={one ?? other ?? ''} count={undefined} />
        </ol>
      )}
      <div className="mt-3 grid max-w-[70rem] gap-x-10 gap-y-4 lg:grid-cols-2">
        {one === null && choice('one', 'First')}
        {other === null && choice('other', 'Second')}
      </div>
      <p className="mt-4">
        <Act
          main
          disabled={!sides.one || !sides.other}
          onClick={() =>
            void navigate(`/g/${here.id}/compare?one=${sides.one ?? ''}&other=${sides.other ?? ''}`)
          }
        >
          Compare
        </Act>
      </p>
    </div>
  );
}

/** What the second gained, what it lost, what both have. */
function Comparing({ one, other }: { one: string; other: string }) {
  const here = useHere();
  const [params, setParams] = useSearchParams();
  const part = PARTS.find((each) => each === params.get('part')) ?? 'gained';
  const sampled = params.get('order') === 'sample';
  const strategy = strategyFor(part, one, other);
  const result = useSearch(here.id, strategy, sampled ? 'sample' : 'here');
  const counts = useComparison(here.id, one, other);
  const set = (key: string, value: string) =>
    setParams((now) => {
      now.set(key, value);
      now.delete('p');
      return now;
    });
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
      <div className="px-6 pt-3 pb-2">
        <title>Comparison · Quiet Lantern</title>
        <Title help="trail">Comparison</Title>
        <ol className="mt-1">
          <Side label="first" name={one} count={counts.data?.first} />
          <Side label="second" name={other} count={counts.data?.second} />
        </ol>
        {counts.error && (
          <p role="alert" className="text-error">
            {counts.error.message}
          </p>
        )}
        <div className="mt-2 flex flex-wrap gap-x-5">
          {PARTS.map((each) => (
            <Act key={each} aria-pressed={each === part} onClick={() => set('part', each)}>
              {each} {counts.data?.[each].toLocaleString('en-GB') ?? '…'}
            </Act>
          ))}
          <Act aria-pressed={sampled} onClick={() => set('order', sampled ? 'here' : 'sample')}>
            Drawn at random
          </Act>
          <Link
            className="act"
            to={`/g/${here.id}/report?of=${encodeURIComponent(`comparison:${one},${other}`)}`}
          >
            In writing
          </Link>
        </div>
      </div>
      {result.error ? (
        <Failed error={result.error} />
      ) : result.data && !result.isPlaceholderData ? (
        result.data.answer.count > 0 ? (
          <Results
            key={`${part} ${sampled}`}
            result={result.data}
            strategy={strategy}
            fresh
            ahead={0}
            onAhead={() => undefined}
            step={undefined}
            onStep={() => Promise.resolve(null)}
          />
        ) : (
          <p className="px-6 text-soft">{NOTHING[part]}</p>
        )
      ) : (
        <Waiting what="the comparison" />
      )}
    </div>
  );
}

const NOTHING: Record<Part, string> = {
  gained: 'The second finds nothing that the first does not find.',
  lost: 'The first finds nothing that the second does not find.',
  common: 'They have nothing in common.',
};

function Side({ label, name, count }: { label: string; name: string; count: number | undefined }) {
  const here = useHere();
  const title = useHeldTitle(here.id, name);
  const [kind, id] = name.split(':');
  return (
    <li className="flex items-baseline gap-x-3">
      <span className="w-14 text-[13px] text-soft">{label}</span>
      <Link className="act min-w-0 font-serif hover:underline" to={`/g/${here.id}/${kind}/${id}`}>
        {title}
      </Link>
      <span className="text-soft">{count?.toLocaleString('en-GB')}</span>
    </li>
  );
}
