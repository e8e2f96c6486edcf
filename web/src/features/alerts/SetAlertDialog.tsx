import { useState } from 'react';
import { Link } from 'react-router';
import { Problem, type Schema } from '../../api';
import { ChoiceField, counted, DialogForm } from '../../ui';
import { FolderChoice, useChosenFolder } from '../keeping';
import { mayWrite, useHere } from '../session';
import { shortText, type Strategy } from '../strategy';
import { useFolderNames, useForeseen, useSetAlert, type Tells } from './api';
import { Foreseen } from './Foreseen';
import { ReceiversField } from './ReceiversField';
import { covering, WhenAndWho } from './WhenAndWho';

const USUAL = {
  rhythm: 'daily',
  hour: '05:00',
  asked: '1',
  covers: 'mark',
  folder: '',
  tellsWidened: false,
};
const PASTS = [1, 2, 3, 6, 12];

/** What an alert is set on: a saved search, or lines that are saved with it under a name. */
export type ToWatch =
  | { saved: Schema['SavedSearch'] }
  | {
      name: string;
      strategy: Strategy;
      /** Where its lines can be changed; absent where they stand behind the dialog. */
      sheet?: string;
      /** Absent: what is new. */
      tells?: Tells;
    };

/** Something that can be followed from where one is. */
export type Followable = { label: string; watch: ToWatch };

function isOffer(
  of: ToWatch | readonly [Followable, ...Followable[]],
): of is readonly [Followable, ...Followable[]] {
  return Array.isArray(of);
}

/** Sets an alert, after showing what it would have brought. */
export function SetAlertDialog({
  group,
  watch: of,
  onClose,
}: {
  group: string;
  /** What it is set on, or several such things of which one is chosen. */
  watch: ToWatch | readonly [Followable, ...Followable[]];
  onClose: () => void;
}) {
  const here = useHere();
  const offers = isOffer(of) ? of : [];
  const [which, setWhich] = useState(0);
  const watch = isOffer(of) ? (of[which] ?? of[0]).watch : of;
  const tells = ('tells' in watch && watch.tells) || 'new';
  const saved = 'saved' in watch ? watch.saved : null;
  const strategy = 'saved' in watch ? watch.saved.strategy : watch.strategy;
  const sheet = 'saved' in watch ? `/g/${group}/search?of=${watch.saved.id}` : watch.sheet;
  const [typed, setName] = useState<string | null>(null);
  const name = typed ?? ('saved' in watch ? watch.saved.name : watch.name);
  const choice = useChosenFolder(group, { everybodys: true });
  const [chosen, setChosen] = useState(USUAL);
  const folder = chosen.folder || (saved ? saved.folder.id : choice.chosen);
  const [past, setPast] = useState('');
  const [receivers, setReceivers] = useState<string[] | null>(null);
  const foreseen = useForeseen(group, strategy, tells);
  const folders = useFolderNames(group).data ?? (saved ? [saved.folder] : []);
  const set = useSetAlert(group);
  const problem = set.error ?? foreseen.error;
  const cannot = problem instanceof Problem && problem.type === 'not-watchable';
  const personal = cannot && saved ? String(problem.details.line ?? '') : '';
  const months = foreseen.data?.months ?? [];
  const pasts = PASTS.map((many) => ({
    id: String(many),
    many,
    count: months.slice(-many).reduce((sum, { count }) => sum + count, 0),
  })).filter(({ count }) => count > 0);
  const submit = () => {
    if (!saved) choice.choose(folder);
    set.mutate(
      {
        ...(saved ? { search: saved.id } : { saving: { name, strategy } }),
        ...chosen,
        folder,
        asked: Number(chosen.asked),
        covers: covering(chosen.asked, chosen.covers),
        ...(past && tells === 'new' && { past: Number(past) }),
        tells,
        ...(receivers && { receivers }),
      },
      { onSuccess: onClose },
    );
  };
  return (
    <DialogForm
      title={saved ? `Alert on “${saved.name}”` : 'Set an alert'}
      wide
      act="Set alert"
      disabled={set.isPending || cannot || !folder}
      error={problem}
      onSubmit={submit}
      onClose={onClose}
    >
      {personal && mayWrite(here) && (
        <p className="mt-2">
          <Link
            className="act"
            to={`/g/${group}/search?of=${saved?.id}&without=${encodeURIComponent(personal)}`}
            onClick={onClose}
          >
            Change it on the sheet, without that line
          </Link>
        </p>
      )}
      {offers.length > 0 && (
        <fieldset className="mt-2">
          <legend className="small-head">What is followed</legend>
          {offers.map(({ label }, n) => (
            <label key={label} className="flex min-h-[28px] items-center gap-1.5">
              <input
                type="radio"
                name="followed"
                checked={n === which}
                onChange={() => setWhich(n)}
              />
              {label}
            </label>
          ))}
        </fieldset>
      )}
      {!saved && (
        <>
          {offers.length === 0 && (
            <p className="mt-2 font-serif text-[16px]">{shortText(strategy)}</p>
          )}
          <label className="mt-2 block">
            <span className="small-head">Name of the search and its alert</span>
            <input
              required
              className="field block w-full"
              value={name}
              maxLength={120}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
        </>
      )}
      <p className="mt-2 text-soft">What comes from now on is gathered into rounds.</p>
      <Foreseen group={group} strategy={strategy} tells={tells} sheet={sheet} />
      {tells === 'new' && (
        <ChoiceField
          label="What is here already"
          value={past}
          of={pasts.map(({ id, many, count }) => ({
            id,
            name: `${counted(count, 'publication')} of ${many === 1 ? 'this month' : `the last ${many} months`} as the first round`,
          }))}
          none="is not announced"
          onChange={setPast}
        />
      )}
      {!folder && <FolderChoice group={group} {...choice} />}
      <WhenAndWho
        chosen={{ ...chosen, folder }}
        folders={folders}
        alsoSaved={!saved}
        onChange={setChosen}
      />
      <ReceiversField chosen={receivers} onChange={setReceivers} />
    </DialogForm>
  );
}
