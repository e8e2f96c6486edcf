import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { counted } from '../../ui';
import { useHere } from '../session';
import { useYield } from './api';
import { Unfolding } from './Unfolding';

/** What came of all that the alert brought, and what its search could do without. */
export function Yield({ alert }: { alert: string }) {
  const here = useHere();
  const [open, setOpen] = useState(false);
  const found = useYield(here.id, alert, open);
  return (
    <Unfolding
      head="What came of it, word by word"
      waiting="It is counted …"
      found={found}
      open={open}
      onOpen={setOpen}
    >
      {found.data && <Told of={found.data} />}
    </Unfolding>
  );
}

function Told({ of }: { of: Schema['YieldShown'] }) {
  if (of.arrivals === 0) return <p className="text-soft">It has brought nothing yet.</p>;
  const n = (count: number) => count.toLocaleString('en-GB');
  const seen = [`${n(of.kept)} kept`, `${n(of.passed)} passed`, `${n(of.unseen)} not looked at`];
  return (
    <>
      <p>
        {counted(of.arrivals, 'work')} came: {seen.join(', ')}.
      </p>
      {of.spared.map((word) => (
        <Suggestion key={`${word.line} ${word.typed}`} search={of.search} word={word} />
      ))}
      {of.words.length > 0 && (
        <table className="mt-2 text-[13px]">
          <thead>
            <tr className="text-left text-soft">
              <th className="pr-8 font-normal">word</th>
              <th className="pr-8 text-right font-normal">brought</th>
              <th className="text-right font-normal">kept</th>
            </tr>
          </thead>
          <tbody>
            {of.words.map((word) => (
              <tr key={`${word.line} ${word.typed}`}>
                <td className="pr-8 font-serif text-[15px]">{word.typed}</td>
                <td className="pr-8 text-right">{n(word.brought)}</td>
                <td className="text-right">{n(word.kept)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** Nothing is changed by it: the sheet shows what would be gained and lost. */
function Suggestion({ search, word }: { search: string; word: Schema['Spared'] }) {
  const here = useHere();
  const change = new URLSearchParams({ of: search, line: word.line, says: word.says });
  return (
    <p className="mt-1">
      Without <span className="font-serif text-[15px]">{word.typed}</span>,{' '}
      {word.lost.toLocaleString('en-GB')} of them would not have come,{' '}
      {word.lostKept === 0 ? 'none' : word.lostKept.toLocaleString('en-GB')} of those kept.{' '}
      <Link className="act" to={`/g/${here.id}/search?${change}`}>
        See it on the sheet
      </Link>
    </p>
  );
}
