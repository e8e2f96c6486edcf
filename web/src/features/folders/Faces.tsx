import { Choice } from '../../ui';
import { useHere } from '../session';

/** The faces of a folder: what is kept in it, and the same as a bibliography. */
export function Faces({ folder, on }: { folder: string; on: 'items' | 'bibliography' }) {
  const here = useHere();
  const path = `/g/${here.id}/f/${folder}`;
  return (
    <nav aria-label="Faces of the folder" className="flex gap-x-3 print:hidden">
      <Choice on={on === 'items'} to={path}>
        Items
      </Choice>
      <Choice on={on === 'bibliography'} to={`${path}/bibliography`}>
        Bibliography
      </Choice>
    </nav>
  );
}
