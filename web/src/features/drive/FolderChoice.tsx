import { Act } from '../../ui';
import { useHere } from '../session';
import { useDriveFolder } from './api';

/** A folder of the drive, gone into step by step. `at`: names with slashes between them. */
export function FolderChoice({ at, onChange }: { at: string; onChange: (at: string) => void }) {
  const here = useHere();
  const found = useDriveFolder(here.id, at, true);
  const names = at === '' ? [] : at.split('/');
  const inside = found.data?.at === at ? found.data : undefined;
  return (
    <fieldset className="mt-3">
      <legend className="small-head">Folder of the drive</legend>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <Act aria-current={names.length === 0} onClick={() => onChange('')}>
          The group’s folder
        </Act>
        {names.map((name, n) => (
          <span key={names.slice(0, n + 1).join('/')} className="flex items-baseline gap-x-2">
            <span aria-hidden="true">›</span>
            <Act
              aria-current={n === names.length - 1}
              onClick={() => onChange(names.slice(0, n + 1).join('/'))}
            >
              {name}
            </Act>
          </span>
        ))}
      </p>
      <div
        role="group"
        aria-label="What is in it"
        aria-busy={!inside && !found.error}
        className="mt-1 h-[8.5rem] overflow-auto rounded-field border border-base-300 bg-base-200 p-2"
      >
        {found.error ? (
          <p role="alert" className="text-error">
            {found.error.message} <Act onClick={() => void found.refetch()}>Ask again</Act>
          </p>
        ) : !inside ? (
          <p className="text-soft">The drive is asked …</p>
        ) : (
          <>
            <ul>
              {inside.folders.map((name) => (
                <li key={name}>
                  <Act onClick={() => onChange([...names, name].join('/'))}>{name}</Act>
                </li>
              ))}
            </ul>
            <ul className="text-soft">
              {inside.files.map((name) => (
                <li key={name} className="break-all">
                  {name}
                </li>
              ))}
            </ul>
            <p className="text-[13px] text-soft">
              {inside.folders.length + inside.files.length === 0 && 'Nothing stands in it.'}
              {inside.more > 0 && `${inside.more} more are not shown.`}
            </p>
          </>
        )}
      </div>
    </fieldset>
  );
}
