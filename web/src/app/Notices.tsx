import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, commandHeader, keys, newCommand } from '../api';
import { Act, useKeys, type Notice } from '../ui';

/** What the last act came to, at the foot of the page, and the way to undo it. */
export function Notices({
  group,
  notice,
  onDone,
}: {
  group: string;
  notice: Notice | null;
  onDone: (notice: Notice | null) => void;
}) {
  const client = useQueryClient();
  const undo = useMutation({
    mutationFn: async (action: string) =>
      body(
        await api.POST('/api/groups/{group}/actions/{action}/undo', {
          params: { path: { group, action }, header: commandHeader(newCommand()) },
        }),
      ),
    onSuccess: (undone) => onDone({ text: `Undone. ${undone.note}`.trim() }),
    onError: (error) => onDone({ text: error.message, bad: true }),
    onSettled: () => client.invalidateQueries({ queryKey: keys.living(group) }),
  });
  const command = notice?.command;
  useKeys(command ? { '0': () => undo.mutate(command) } : {});
  return (
    <div
      role="status"
      className="fixed inset-x-0 bottom-12 z-10 flex justify-center px-4 lg:bottom-4"
    >
      {notice && (
        <div className="flex flex-wrap items-center gap-x-4 rounded-box border border-rule-strong bg-base-100 px-4 py-2">
          <span className={notice.bad ? 'text-error' : ''}>{notice.text}</span>
          {command && (
            <Act hint="0" disabled={undo.isPending} onClick={() => undo.mutate(command)}>
              Undo
            </Act>
          )}
          <Act onClick={() => onDone(null)}>Close</Act>
        </div>
      )}
    </div>
  );
}
