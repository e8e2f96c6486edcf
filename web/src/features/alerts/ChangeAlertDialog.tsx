import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm } from '../../ui';
import { useHere } from '../session';
import { useFolderNames } from './api';
import type { useAlertChanges } from './changes';
import { covering, WhenAndWho } from './WhenAndWho';

/** Changes when rounds close, how many look at each arrival, and where keeps go. */
export function ChangeAlertDialog({
  alert,
  change,
  onClose,
}: {
  alert: Schema['AlertLine'];
  change: ReturnType<typeof useAlertChanges>['change'];
  onClose: () => void;
}) {
  const here = useHere();
  const folders = useFolderNames(here.id).data ?? [alert.folder];
  const [chosen, setChosen] = useState({
    rhythm: alert.rhythm,
    hour: alert.hour.slice(0, 5),
    asked: String(alert.asked),
    covers: alert.covers,
    folder: alert.folder.id,
    tellsWidened: alert.tellsWidened,
  });
  return (
    <DialogForm
      title={`Change the alert on “${alert.name}”`}
      act="Change it"
      disabled={change.isPending}
      error={change.error}
      onSubmit={() =>
        change.mutate(
          {
            ...chosen,
            asked: Number(chosen.asked),
            covers: covering(chosen.asked, chosen.covers),
          },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <WhenAndWho chosen={chosen} folders={folders} onChange={setChosen} />
    </DialogForm>
  );
}
