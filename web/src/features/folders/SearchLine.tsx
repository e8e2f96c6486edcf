import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, shortDay } from '../../ui';
import { SetAlertDialog } from '../alerts';
import { SearchActs, useRun } from '../saved';
import { mayWrite, useHere } from '../session';
import { shortText } from '../strategy';

/** A saved search in its folder: what it is, what it found when, and whether it is watched. */
export function SearchLine({
  search,
  now,
}: {
  search: Schema['SavedSearch'];
  /** How many it finds now; null while that is not known. */
  now: number | null;
}) {
  const here = useHere();
  const run = useRun(here.id);
  const [setting, setSetting] = useState(false);
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 py-1">
      <Link
        className="min-h-[24px] py-0.5 font-serif text-[15.5px] font-medium"
        to={`/g/${here.id}/s/${search.id}`}
      >
        {search.name}
      </Link>
      <Act disabled={run.isPending} onClick={() => run.mutate(search.id)}>
        Search for it
      </Act>
      <span className="font-serif text-soft">{shortText(search.strategy)}</span>
      <span className="text-soft">
        {now != null && now !== search.count && `${now.toLocaleString('en-GB')} now, `}
        {counted(search.count, 'publication')} on {shortDay(search.at)}, saved by {search.by}
        {search.revision > 1 && `, revision ${search.revision}`}
        {search.documented && ', documented'}
      </span>
      {search.alert ? (
        <Link className="act" to={`/g/${here.id}/a/${search.alert}`}>
          Alert
        </Link>
      ) : (
        mayWrite(here) && <Act onClick={() => setSetting(true)}>Set alert</Act>
      )}
      <SearchActs search={search} />
      {setting && (
        <SetAlertDialog
          group={here.id}
          watch={{ saved: search }}
          onClose={() => setSetting(false)}
        />
      )}
    </li>
  );
}
