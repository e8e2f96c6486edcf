import { useState } from 'react';
import { Link } from 'react-router';
import { Problem, type Schema } from '../../api';
import { ChoiceField, counted, DialogForm } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useFolderNames, useForeseen, useSetAlert } from './api';
import { Foreseen } from './Foreseen';
import { WhenAndWho } from './WhenAndWho';

const PASTS = [1, 2, 3, 6, 12];

/** Watches a saved search, after showing what that would have brought. */
export function SetAlertDialog({
  group,
  search,
  onClose,
}: {
  group: string;
  search: Schema['SavedSearch'];
  onClose: () => void;
}) {
  const here = useHere();
  const [chosen, setChosen] = useState({
    rhythm: 'daily',
    hour: '05:00',
    asked: '1',
    folder: search.folder.id,
  });
  const [past, setPast] = useState('');
  const foreseen = useForeseen(group, search.id);
  const folders = useFolderNames(group).data ?? [search.folder];
  const set = useSetAlert(group);
  const problem = set.error ?? foreseen.error;
  const personal =
    problem instanceof Problem && problem.type === 'not-watchable'
      ? String(problem.details.line ?? '')
      : '';
  const months = foreseen.data?.months ?? [];
  const pasts = PASTS.map((many) => ({
    id: String(many),
    many,
    count: months.slice(-many).reduce((sum, { count }) => sum + count, 0),
  })).filter(({ count }) => count > 0);
  return (
    <DialogForm
      title={`Alert on “${search.name}”`}
      wide
      act="Set alert"
      disabled={set.isPending || personal !== ''}
      error={problem}
      onSubmit={() =>
        set.mutate(
          {
            search: search.id,
            ...chosen,
            asked: Number(chosen.asked),
            ...(past && { past: Number(past) }),
          },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      {personal && mayWrite(here) && (
        <p className="mt-2">
          <Link
            className="act"
            to={`/g/${group}/search?of=${search.id}&without=${encodeURIComponent(personal)}`}
            onClick={onClose}
          >
            Change it on the sheet, without that line
          </Link>
        </p>
      )}
      <p className="mt-2 text-soft">What comes from now on is gathered into rounds.</p>
      <Foreseen group={group} search={search.id} />
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
      <WhenAndWho chosen={chosen} folders={folders} onChange={setChosen} />
    </DialogForm>
  );
}
