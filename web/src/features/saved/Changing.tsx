import { useState } from 'react';
import { Link } from 'react-router';
import { Act } from '../../ui';
import { useHere } from '../session';
import { sameLines, type Strategy } from '../strategy';
import { useSavedSearch } from './api';
import { ReviseDialog } from './ReviseDialog';

/** Stands between sheet and list while a saved search is being changed. */
export function Changing({
  of,
  q,
  strategy,
  ready,
  onLeave,
}: {
  of: string;
  /** The address of what stands on the sheet, once it is settled. */
  q: string | undefined;
  strategy: Strategy;
  /** Whether what stands on the sheet can be counted. */
  ready: boolean;
  onLeave: () => void;
}) {
  const here = useHere();
  const saved = useSavedSearch(here.id, of).data;
  const [saving, setSaving] = useState(false);
  if (!saved) return null;
  const same = sameLines(strategy, saved.strategy);
  return (
    <section
      aria-label="Changing a saved search"
      className="flex flex-wrap items-baseline gap-x-5 border-b border-base-300 px-4 py-1.5 lg:px-6"
    >
      <span>
        Changing{' '}
        <Link className="font-serif font-medium" to={`/g/${here.id}/s/${of}`}>
          {saved.name}
        </Link>
        <span className="text-soft">
          , revision {saved.revision}
          {same && ': nothing is changed yet'}
        </span>
      </span>
      <Act disabled={same || !ready} onClick={() => setSaving(true)}>
        Save as revision {saved.revision + 1}
      </Act>
      <Act onClick={onLeave}>Leave it as it is</Act>
      {saving && (
        <ReviseDialog saved={saved} q={q} strategy={strategy} onClose={() => setSaving(false)} />
      )}
    </section>
  );
}
