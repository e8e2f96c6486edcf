import { useFolders } from '../keeping';

/**
 * Chooses what of a result is listed by where it is kept. It is the reader's own view of the list:
 * the count, alerts and files are of the whole search.
 */
export function KeptChoice({
  group,
  kept,
  onKept,
}: {
  group: string;
  kept: string;
  onKept: (kept: string) => void;
}) {
  const folders = useFolders(group).data ?? [];
  return (
    <select
      aria-label="Listed"
      className="min-h-[24px] max-w-[12rem] cursor-pointer bg-base-100 text-soft"
      value={kept}
      onChange={(event) => onKept(event.target.value)}
    >
      <option value="">all listed</option>
      <option value="nowhere">kept nowhere yet</option>
      {folders.map((folder) => (
        <option key={folder.id} value={folder.id}>
          in {folder.name}
        </option>
      ))}
    </select>
  );
}
