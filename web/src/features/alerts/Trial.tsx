import type { Schema } from '../../api';
import { counted } from '../../ui';
import { causesInWords, Titles } from './Differences';

/** What a run would find, without one. */
export function Trial({ of, paused }: { of: Schema['TrialShown']; paused: boolean }) {
  const more =
    of.causes.length > 0
      ? `more by ${causesInWords(of.causes)}`
      : 'that it has missed; it is announced and told to stewards';
  return (
    <section aria-label="Tried" role="status" className="mt-2 max-w-[46rem] bg-base-200 px-3 py-2">
      <p>
        {paused ? 'In the pause came ' : 'A run now would find '}
        <b>{of.found === 0 ? 'nothing' : counted(of.found, 'publication')}</b>
        {of.compared > 0
          ? `; held against all that its search finds, ${counted(of.compared, 'publication')} ${more}.`
          : '; it remembers all else that its search finds.'}{' '}
        <span className="text-soft">Nothing was changed.</span>
      </p>
      <Titles of={of.first} count={of.found} />
      {of.compared > 0 && (
        <>
          <p className="small-head mt-1">Held against its search</p>
          <Titles of={of.firstCompared} count={of.compared} />
        </>
      )}
    </section>
  );
}
