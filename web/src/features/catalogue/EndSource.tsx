import type { Schema } from '../../api';
import { counted, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useEnding, useEndSource } from './keepingApi';

/** Ends a source; what that would withdraw is counted before. */
export function EndSource({
  source,
  onClose,
}: {
  source: Schema['SourceView'];
  onClose: () => void;
}) {
  const here = useHere();
  const ending = useEnding(here.id, source.key);
  const end = useEndSource(here.id);
  return (
    <DialogForm
      title={`End ${source.name}`}
      act="End it"
      leave="Keep it"
      disabled={!ending.data || end.isPending}
      error={end.error ?? ending.error}
      onSubmit={() => end.mutate(source, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p role="status" className="max-w-[65ch]">
        {ending.data
          ? `Its ${counted(ending.data.records, 'record')} are taken back. ${withdrawn(ending.data.publications)}`
          : 'Counting what would be withdrawn …'}
      </p>
      <p className="mt-2 max-w-[65ch] text-soft">
        {source.files
          ? 'What was loaded can be loaded again.'
          : 'It is not asked any more. It can be asked for everything again later.'}{' '}
        To keep what is here and ask for nothing more, pause it.
      </p>
    </DialogForm>
  );
}

function withdrawn(publications: number): string {
  return publications === 0
    ? 'Everything that it supplies, others supply as well.'
    : `${counted(publications, 'publication')} that nobody else supplies ${publications === 1 ? 'is' : 'are'} withdrawn: not found any more, and marked so where kept.`;
}
