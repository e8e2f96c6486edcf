import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted, useCopyText } from '../../ui';
import { mayWrite, useHere } from '../session';
import { NewTaskDialog, useTasksOf } from '../tasks';

/** Works that a publication cites and that no source has brought here. */
export function Elsewhere({ dois, citing }: { dois: string[]; citing: Schema['Summary'] }) {
  const here = useHere();
  const copy = useCopyText();
  const tasks = useTasksOf(here.id, citing.id).data ?? [];
  const [wanted, setWanted] = useState<string | null>(null);
  const lookingUp = (doi: string) =>
    tasks.find((task) => task.state === 'open' && task.doi.toLowerCase() === doi.toLowerCase());
  return (
    <details>
      <summary className="act w-fit cursor-pointer">
        {counted(dois.length, 'work')} that it cites {dois.length === 1 ? 'is' : 'are'} not here
      </summary>
      <Act
        onClick={() => copy(dois.map((doi) => `https://doi.org/${doi}`).join('\n'), 'their DOIs')}
      >
        Copy their DOIs
      </Act>
      <ul className="mt-1 max-h-[30vh] overflow-y-auto text-[13px]">
        {dois.map((doi) => {
          const task = lookingUp(doi);
          return (
            <li key={doi} className="flex flex-wrap items-baseline gap-x-4">
              <a className="act" href={`https://doi.org/${doi}`} rel="noreferrer" target="_blank">
                {doi}
              </a>
              {task ? (
                <span className="text-soft">
                  {task.owner ? `${task.owner.name} looks it up` : 'to be looked up'}
                </span>
              ) : (
                mayWrite(here) && (
                  <Act aria-label={`Look up ${doi}`} onClick={() => setWanted(doi)}>
                    Look it up…
                  </Act>
                )
              )}
            </li>
          );
        })}
      </ul>
      {wanted && (
        <NewTaskDialog
          begun={{ text: `Look up what it cites: ${wanted}`, publication: citing.id, doi: wanted }}
          onClose={() => setWanted(null)}
        />
      )}
    </details>
  );
}
