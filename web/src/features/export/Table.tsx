import { useMutation } from '@tanstack/react-query';
import { takeBlob } from '../../api';
import { Act, counted } from '../../ui';
import { useHere } from '../session';
import { addressOf, usePreview, wantedOf, type Exported } from './api';
import { named } from './formats';
import { OF_THE_WORK, SAID } from './columns';
import type { Chosen } from './lastWanted';
import { saveAs } from './saveAs';
import { Ticks } from './Ticks';

/** Whatever the table has, it is asked for the works that it is of. */
const ANY = { format: 'csv', with: [] };

/** Works beside each other in columns that one chooses. */
export function Table({
  of,
  columns,
  onChange,
  onClose,
}: {
  of: Exported;
  columns: readonly string[];
  onChange: (part: Partial<Chosen>) => void;
  onClose: () => void;
}) {
  const here = useHere();
  const preview = usePreview(here.id, of, ANY);
  const shown = preview.data;
  // As they are offered, however they were ticked.
  const order: string[] = [...OF_THE_WORK, ...SAID.filter((one) => shown?.offered.includes(one))];
  const chosen = order.filter((one) => columns.includes(one));
  const save = useMutation({
    mutationFn: async (form: string) => {
      const { order: sorted, publications } = wantedOf(of, ANY);
      const wanted = {
        form,
        columns: chosen,
        order: sorted ?? null,
        publications: publications ?? null,
      };
      return { form, file: await takeBlob(`${addressOf(here.id, of)}/export/table`, wanted) };
    },
    onSuccess: ({ form, file }) =>
      saveAs(named(`${shown?.fileName.replace(/\.\w+$/, '') ?? ''}-table.x`, form), file),
  });
  const error = preview.error ?? save.error;
  const choose = (next: string[]) => onChange({ columns: next });
  const none = !shown || shown.works === 0 || chosen.length === 0 || save.isPending;
  return (
    <>
      <Ticks label="Columns" offered={OF_THE_WORK} chosen={columns} onChange={choose} />
      <Ticks
        label="What members said"
        offered={order.slice(OF_THE_WORK.length)}
        chosen={columns}
        onChange={choose}
      />
      {error && (
        <p role="alert" className="mt-3 text-error">
          {error.message}
        </p>
      )}
      {shown && (
        <p role="status" className="mt-3 text-soft">
          {counted(shown.works, 'publication')}, {shown.order}
          {' · '}
          {counted(chosen.length, 'column')}
          {save.isPending && ' · it is being made'}
          {save.isSuccess && ' · saved'}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-x-4">
        <Act main disabled={none} onClick={() => save.mutate('csv')}>
          Save as CSV
        </Act>
        <Act disabled={none} onClick={() => save.mutate('docx')}>
          Save as DOCX
        </Act>
        <Act onClick={onClose}>Close</Act>
      </div>
    </>
  );
}
