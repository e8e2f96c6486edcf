import { useEffect, useState } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useCitations } from './api';
import { CitedWords } from './Cited';
import { FaultView } from './FaultView';
import { useMend } from './mendApi';

/** Milliseconds: whoever only passes by does not have a work looked at. */
const STAYS = 400;

/** What is wrong with one work, cited as the group cites. */
export function OneBeforeLeaving({ publication }: { publication: string }) {
  const here = useHere();
  const [stays, setStays] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setStays(true), STAYS);
    return () => clearTimeout(timer);
  }, []);
  const wanted = { cites: [{ publication }], style: '', language: '' };
  const cited = useCitations(here.id, wanted, stays && !here.me.onlyFolders).data;
  return cited ? <BeforeLeaving entries={cited.entries} /> : null;
}

/** What is wrong with works before they leave: which sorts of faults, and on asking, each. */
export function BeforeLeaving({ entries }: { entries: readonly Schema['CitedEntry'][] }) {
  const here = useHere();
  const mend = useMend(here.id);
  const [open, setOpen] = useState(false);
  const faulty = entries.flatMap(({ faults, ...entry }) =>
    faults && faults.length > 0 ? [{ ...entry, faults }] : [],
  );
  if (faulty.length === 0) return null;
  const sorts = new Set(faulty.flatMap((entry) => entry.faults.map((fault) => fault.words)));
  return (
    <section aria-label="Before this leaves" className="mt-1">
      <Act aria-expanded={open} onClick={() => setOpen((now) => !now)}>
        Before this leaves: {[...sorts].join(', ')}
        {entries.length > 1 && ` (${faulty.length} of ${entries.length})`}
      </Act>
      {open &&
        faulty.map((entry) => (
          <div key={entry.publication}>
            {entries.length > 1 && (
              <p className="mt-1 truncate font-serif text-soft">
                <CitedWords parts={entry.parts} />
              </p>
            )}
            <ul>
              {entry.faults.map((fault) => (
                <FaultView
                  key={`${fault.kind} ${fault.field} ${fault.reads}`}
                  fault={fault}
                  publication={entry.publication}
                  writes={mayWrite(here)}
                  mend={mend}
                />
              ))}
            </ul>
          </div>
        ))}
    </section>
  );
}
