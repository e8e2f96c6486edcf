import { useState } from 'react';

/** The number of the page that is read; another one is typed to get there. */
export function PageBox({
  labels,
  page,
  onPage,
}: {
  labels: string[];
  page: number;
  onPage: (page: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const [unknown, setUnknown] = useState('');
  const go = () => {
    if (typed === null) return;
    const wanted = labels.indexOf(typed.trim());
    setUnknown(wanted < 0 && typed.trim() ? typed.trim() : '');
    if (wanted >= 0) onPage(wanted);
    setTyped(null);
  };
  return (
    <form
      className="whitespace-nowrap text-soft"
      onSubmit={(event) => {
        event.preventDefault();
        go();
      }}
    >
      <label>
        p.{' '}
        <input
          className="field min-h-[26px] w-14 px-1 py-0.5 text-right"
          value={typed ?? labels[page] ?? ''}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => setTyped(null)}
        />
      </label>{' '}
      of {labels[0]}–{labels[labels.length - 1]}
      {unknown && <span role="status"> · no page {unknown}</span>}
    </form>
  );
}
