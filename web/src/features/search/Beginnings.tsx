import { Link } from 'react-router';
import type { Schema } from '../../api';
import { shortDay } from '../../ui';
import { GuideOffer } from '../help';
import { useHere } from '../session';
import { useBeginnings } from './sheetApi';
import { headingText, shortText } from '../strategy';
import { linesToTry } from './linesToTry';

/** What an empty sheet shows: lines that can be run, headings, and what the group searched for. */
export function Beginnings({ onPick }: { onPick: (line: string) => void }) {
  const here = useHere();
  const known = useBeginnings(here.id).data;
  if (known?.size === 0) return <Nothing />;
  const headings = (known?.headings ?? []).map(({ label }) => label);
  const lines = known ? linesToTry(here.demo, headings, Number(here.today.slice(0, 4))) : [];
  return (
    <div className="page">
      <GuideOffer />
      <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[1.2fr_1fr_1fr]">
        <section aria-label="Examples">
          <h2 className="small-head">Lines to try</h2>
          <ul className="mt-1">
            {lines.map(([line, does]) => (
              <li key={line} className="flex flex-wrap items-baseline gap-x-3">
                <button
                  type="button"
                  className="act font-serif text-[15.5px] whitespace-normal! text-left"
                  onClick={() => onPick(line)}
                >
                  {line}
                </button>
                <span className="text-[13px] text-soft">{does}</span>
              </li>
            ))}
          </ul>
          <p className="mt-3 max-w-[60ch] text-[13px] text-soft">
            One line for one idea, its words joined by <i>or</i>; every further line narrows.
            Neighbouring words mean all of them; quotes: next to each other, as written. Fields:{' '}
            <i>title, abstract, author, heading, keyword, journal, year, language, kind, doi</i>,
            each before a colon. Shift and Enter add a line, Alt and arrows move it.
          </p>
        </section>
        <section aria-label="Top headings">
          <h2 className="small-head">Most used headings</h2>
          <ul className="mt-1">
            {(known?.headings ?? []).map(({ label, count }) => (
              <li key={label} className="flex items-baseline justify-between gap-3">
                <button
                  type="button"
                  className="act min-w-0 font-serif text-[15px]"
                  onClick={() => onPick(headingText(label))}
                >
                  <span className="truncate">{label}</span>
                </button>
                <span className="text-soft">{count.toLocaleString('en-GB')}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Latest searches">
          <h2 className="small-head">Saved by the group</h2>
          <ul className="mt-1">
            {(known?.saved ?? []).map((saved) => (
              <li key={saved.name} className="flex items-baseline justify-between gap-3">
                <Link className="act min-w-0" to={`/g/${here.id}${saved.address}`}>
                  <span className="truncate">{saved.title}</span>
                </Link>
                <Then held={saved} />
              </li>
            ))}
          </ul>
          {(known?.saved.length ?? 0) > 0 && (
            <Link className="act text-[13px]" to={`/g/${here.id}/folders`}>
              All of them, by folder
            </Link>
          )}
          {(known?.steps.length ?? 0) > 0 && <h2 className="small-head mt-3">Your last steps</h2>}
          <ul className="mt-1">
            {(known?.steps ?? []).map((step) => (
              <li key={step.name} className="flex items-baseline justify-between gap-3">
                <Link
                  className="act min-w-0 font-serif text-[15px]"
                  to={`/g/${here.id}${step.address}`}
                >
                  <span className="truncate">{shortText(step.strategy)}</span>
                </Link>
                <Then held={step} />
              </li>
            ))}
          </ul>
          {(known?.steps.length ?? 0) > 0 && (
            <Link className="act text-[13px]" to={`/g/${here.id}/trail`}>
              The whole trail
            </Link>
          )}
          {known && (
            <p className="mt-3 text-[13px] text-soft">
              {known.size.toLocaleString('en-GB')} publications on {shortDay(here.today)}
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

/** What it found on its day. */
function Then({ held }: { held: Schema['Holdable'] }) {
  return (
    <span className="flex-none text-[13px] text-soft">
      {held.count.toLocaleString('en-GB')} on {shortDay(held.at)}
    </span>
  );
}

/** A catalogue that nobody supplies yet. */
function Nothing() {
  const here = useHere();
  return (
    <div className="page max-w-[60ch]">
      <p>
        There is nothing to search yet. Publications come from sources; once one is added, its
        records can be found while they arrive.
      </p>
      <p className="mt-2">
        <Link className="act" to={`/g/${here.id}/catalogue/sources`}>
          Sources
        </Link>
      </p>
    </div>
  );
}
