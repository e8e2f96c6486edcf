import { useState } from 'react';
import type { Schema } from '../../api';
import { listed } from '../../ui';
import { WatchLine } from '../alerts';
import { useHere } from '../session';
import { headingText, SheetLinks } from '../strategy';
import { useHeadingAsked } from './api';

/**
 * How a heading is asked for: a sentence of which each part can be changed where it stands, the
 * respects as bars that divide what it finds, and one count beside the act.
 */
export function HeadingAsked({ heading }: { heading: Schema['HeadingFacts'] }) {
  const here = useHere();
  const hasBelow = heading.narrower.length > 0;
  // Where it is given to nothing itself, what is below it is what can be found.
  const [below, setBelow] = useState(hasBelow && heading.count === 0);
  const [central, setCentral] = useState(false);
  const [aspects, setAspects] = useState<string[]>([]);
  const [widened, setWidened] = useState<string[]>([]);
  const found = useHeadingAsked(here.id, {
    name: heading.label,
    below,
    central,
    aspects,
    names: widened.includes('names'),
    related: widened.includes('related'),
  });
  const asked = found.data;
  const line = headingText(heading.label, [
    ...(below ? ['narrower'] : []),
    ...(central ? ['central'] : []),
    ...aspects,
  ]);
  const chosen = heading.aspects.filter((aspect) => aspects.includes(aspect.word));
  const toggle = (word: string) =>
    setAspects((now) =>
      now.includes(word) ? now.filter((each) => each !== word) : [...now, word],
    );
  return (
    <section aria-label="Search for it" className="mt-3">
      <p className="max-w-[65ch] leading-[1.9]">
        Publications about <b>{heading.label}</b>
        {hasBelow && (
          <>
            {' '}
            <Part
              label="What is meant"
              value={below ? 'below' : 'only'}
              onChange={(value) => setBelow(value === 'below')}
              choices={[
                ['only', 'itself', asked?.itOnly],
                ['below', 'and all below it', asked?.withBelow],
              ]}
            />
          </>
        )}
        ,{' '}
        <Part
          label="Where it stands"
          value={central ? 'central' : 'anywhere'}
          onChange={(value) => setCentral(value === 'central')}
          choices={[
            ['anywhere', 'wherever it stands', asked?.anywhere],
            ['central', 'where they are mainly about it', asked?.central],
          ]}
        />
        , <b>{chosen.length === 0 ? 'in any respect' : `as to ${listed(chosen.map(inWords))}`}</b>
        <Widened heading={heading} widened={widened} onChange={setWidened} asked={asked} />.
      </p>
      <div className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <span>
          finds{' '}
          <b>{asked && !found.isPlaceholderData ? asked.count.toLocaleString('en-GB') : '…'}</b>
        </span>
        <SheetLinks group={here.id} line={line} widened={widened} main />
        <WatchLine name={`About ${heading.label}`} line={line} widened={widened} />
      </div>
      {heading.aspects.length > 0 && (
        <ul aria-label="In which respect" className="mt-2 max-w-[34rem]">
          {heading.aspects.map((aspect) => (
            <AspectBar
              key={aspect.word}
              aspect={aspect}
              count={asked?.aspects.find((each) => each.word === aspect.word)?.count}
              of={asked?.count ?? 0}
              on={aspects.includes(aspect.word)}
              onPress={() => toggle(aspect.word)}
            />
          ))}
        </ul>
      )}
      <p className="mt-2 text-[13px] text-soft">
        On the sheet: <span className="font-serif text-[15px]">{line}</span>
      </p>
    </section>
  );
}

/** Labels are written to go before a heading: “effects of light on”. */
function inWords(aspect: Schema['AspectShown']): string {
  return `${aspect.label} it`;
}

/** What else may be found, where there is anything else. */
function Widened({
  heading,
  widened,
  onChange,
  asked,
}: {
  heading: Schema['HeadingFacts'];
  widened: string[];
  onChange: (widened: string[]) => void;
  asked: Schema['AskedShown'] | undefined;
}) {
  const hasNames = heading.names.length > 0;
  const hasRelated = heading.related.length > 0;
  if (!hasNames && !hasRelated) return null;
  return (
    <>
      ,{' '}
      <Part
        label="What else counts"
        value={widened.join(' ')}
        onChange={(value) => onChange(value ? value.split(' ') : [])}
        choices={[
          ['', 'as a heading', asked?.unwidened],
          ...(hasNames ? [['names', 'or by its other names', asked?.names] as const] : []),
          ...(hasRelated ? [['related', 'or a related heading', asked?.related] as const] : []),
          ...(hasNames && hasRelated
            ? [['names related', 'or by other names or a related heading', undefined] as const]
            : []),
        ]}
      />
    </>
  );
}

/** A part of the sentence that can be said otherwise, each way with what it would find. */
function Part({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: string;
  choices: readonly (readonly [value: string, words: string, count: number | undefined])[];
  onChange: (value: string) => void;
}) {
  return (
    <select
      aria-label={label}
      className="min-h-[24px] max-w-full cursor-pointer border-b border-base-content/60 bg-base-100 font-semibold"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {choices.map(([each, words, count]) => (
        <option key={each} value={each}>
          {count === undefined ? words : `${words} (${count.toLocaleString('en-GB')})`}
        </option>
      ))}
    </select>
  );
}

function AspectBar({
  aspect,
  count,
  of,
  on,
  onPress,
}: {
  aspect: Schema['AspectShown'];
  count: number | undefined;
  of: number;
  on: boolean;
  onPress: () => void;
}) {
  const share = of > 0 && count ? Math.max(1, Math.round((100 * count) / of)) : 0;
  return (
    <li>
      <button
        type="button"
        aria-pressed={on}
        title={aspect.note}
        className="grid w-full cursor-pointer grid-cols-[minmax(0,1fr)_8rem_4rem] items-center gap-x-3 py-[3px] text-left hover:bg-base-200"
        onClick={onPress}
      >
        <span className={on ? 'font-semibold underline' : ''}>{aspect.label}</span>
        <span aria-hidden="true" className="h-[7px] bg-base-300">
          <span className="block h-full bg-primary" style={{ width: `${share}%` }} />
        </span>
        <span className="text-right text-soft tabular-nums">
          {count?.toLocaleString('en-GB') ?? '…'}
        </span>
      </button>
    </li>
  );
}
