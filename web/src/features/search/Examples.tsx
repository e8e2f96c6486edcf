const LINES = [
  ['dimming moths', 'both words, in any form'],
  ['"part-night lighting" or curfew*', 'a phrase, or any ending'],
  ['title: (bat or bats) not bridge*', 'a field, brackets, ruled out'],
  ['author: oxlade year: 2025-2026', 'a person, some years'],
] as const;

/** What an empty sheet shows: lines that can be run. */
export function Examples({ onPick }: { onPick: (line: string) => void }) {
  return (
    <section className="page col-span-full" aria-label="Examples">
      <h2 className="small-head">Lines to try</h2>
      <ul className="mt-2 space-y-1">
        {LINES.map(([line, does]) => (
          <li key={line} className="flex flex-wrap items-baseline gap-x-4">
            <button
              type="button"
              className="act font-serif text-[16px] whitespace-normal! text-left"
              onClick={() => onPick(line)}
            >
              {line}
            </button>
            <span className="text-soft">{does}</span>
          </li>
        ))}
      </ul>
      <p className="mt-5 max-w-[65ch] text-soft">
        Neighbouring words mean all of them. Quotes: next to each other, as written. Fields are{' '}
        <i>title, abstract, author, heading, keyword, journal, year, language, kind, doi</i>, each
        before a colon. The count is exact; Enter settles the search and gives it an address.
      </p>
    </section>
  );
}
