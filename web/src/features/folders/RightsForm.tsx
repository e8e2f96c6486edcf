import { useState, type FormEvent, type ReactNode } from 'react';
import type { Schema } from '../../api';
import { useHere } from '../session';
import { usePeopleActs } from './peopleApi';
import { MAY } from './rights';

type May = keyof typeof MAY;

/** Says whose a folder is: as the one around it, the group's, or of those who are named. */
export function RightsForm({
  folder,
  inside,
  rights,
}: {
  folder: string;
  /** Whether it lies in another folder. */
  inside: boolean;
  rights: Schema['RightsView'];
}) {
  const here = useHere();
  const { set } = usePeopleActs(here.id, folder);
  const [openTo, setOpenTo] = useState(rights.openTo ?? null);
  const [groupMay, setGroupMay] = useState(rights.groupMay);
  const [named, setNamed] = useState<Record<string, May>>(() =>
    Object.fromEntries(rights.named.map((one) => [one.member, one.may])),
  );
  const choose = (to: typeof openTo) => {
    setOpenTo(to);
    // Whoever closes a folder goes on seeing it.
    if (to === 'named') setNamed((now) => ({ ...now, [here.me.id]: 'edit' }));
  };
  const say = (member: string, may: May | '') =>
    setNamed((now) => ({
      ...Object.fromEntries(Object.entries(now).filter(([one]) => one !== member)),
      ...(may && { [member]: may }),
    }));
  const wanted = {
    openTo,
    groupMay,
    named: Object.entries(named).map(([member, may]) => ({ member, may })),
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    set.mutate({ ...wanted, version: rights.version });
  };
  // Who was asked from outside stands here once they are named.
  const people = here.members.filter(
    (one) => !one.onlyFolders || rights.named.some(({ member }) => member === one.id),
  );
  return (
    <form onSubmit={submit} className="mt-4 max-w-[46rem]">
      <fieldset>
        <legend className="small-head">The folder is</legend>
        <Kind on={openTo === null} onChoose={() => choose(null)}>
          {inside
            ? `as the folder around it${rights.as ? `, “${rights.as}”` : ''}`
            : 'as usual: members change what is in it, guests read it'}
        </Kind>
        <Kind on={openTo === 'group'} onChoose={() => choose('group')}>
          open to the group, with rights of its own
        </Kind>
        {openTo === 'group' && (
          <label className="mb-1 ml-6 block">
            Whoever is not named below{' '}
            <select
              className="field"
              value={groupMay}
              onChange={(event) => setGroupMay(event.target.value as May)}
            >
              {(Object.keys(MAY) as May[]).map((may) => (
                <option key={may} value={may}>
                  {MAY[may]}
                </option>
              ))}
            </select>
          </label>
        )}
        <Kind on={openTo === 'named'} onChoose={() => choose('named')}>
          for those named only; to the others it is as if it were not there
        </Kind>
      </fieldset>
      {openTo !== null && (
        <fieldset className="mt-3">
          <legend className="small-head">Named</legend>
          <ul>
            {people.map((one) => (
              <li
                key={one.id}
                className="flex flex-wrap items-baseline gap-x-4 border-b border-base-300 py-1"
              >
                <span className="min-w-[10rem] flex-1">
                  {one.name}
                  {one.role === 'guest' && (
                    <span className="text-soft">
                      {' '}
                      · {one.onlyFolders ? 'from outside' : 'guest'}
                    </span>
                  )}
                </span>
                <select
                  aria-label={`What ${one.name} may`}
                  className="field"
                  value={named[one.id] ?? ''}
                  onChange={(event) => say(one.id, event.target.value as May | '')}
                >
                  <option value="">
                    {openTo === 'named' ? 'does not see it' : 'is not named'}
                  </option>
                  {(Object.keys(MAY) as May[])
                    .filter((may) => may !== 'edit' || one.role !== 'guest')
                    .map((may) => (
                      <option key={may} value={may}>
                        {MAY[may]}
                      </option>
                    ))}
                </select>
              </li>
            ))}
          </ul>
        </fieldset>
      )}
      <p className="mt-3">
        <button
          type="submit"
          className="act act-main"
          disabled={set.isPending || isSo(wanted, rights)}
        >
          Set it so
        </button>
      </p>
      {set.error && (
        <p role="alert" className="text-error">
          {set.error.message}
        </p>
      )}
    </form>
  );
}

/** Whether it is set so already. */
function isSo(wanted: Omit<Schema['RightsWanted'], 'version'>, is: Schema['RightsView']): boolean {
  const { openTo } = wanted;
  if ((openTo ?? null) !== (is.openTo ?? null)) return false;
  const before = new Map<string, string>(is.named.map((one) => [one.member, one.may]));
  return (
    openTo === null ||
    (wanted.groupMay === is.groupMay &&
      wanted.named.length === before.size &&
      wanted.named.every((one) => before.get(one.member) === one.may))
  );
}

function Kind({
  on,
  onChoose,
  children,
}: {
  on: boolean;
  onChoose: () => void;
  children: ReactNode;
}) {
  return (
    <label className="flex items-baseline gap-2 py-1">
      <input type="radio" name="open-to" checked={on} onChange={onChoose} />
      <span>{children}</span>
    </label>
  );
}
