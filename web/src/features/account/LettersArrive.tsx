import { Act, counted, day } from '../../ui';
import { useLettersArrive, useWriteAgain } from './api';

/** Tells of letters that came back; nothing where none did. */
export function LettersArrive() {
  const letters = useLettersArrive().data;
  const again = useWriteAgain();
  if (!letters || letters.came === 0) return null;
  return (
    <div role="alert" className="mt-1 mb-2">
      <p className="text-error">
        {counted(letters.came, 'letter')} to {letters.email} came back
        {letters.at ? `, the last on ${day(letters.at)}` : ''}: {letters.why}
      </p>
      <p>
        {letters.rests
          ? 'Therefore none is written there any more. Have another address above, or say that this one works again.'
          : 'After five none is written there any more. Have another address above, or say that this one works again.'}
      </p>
      <Act disabled={again.isPending} onClick={() => again.mutate(undefined)}>
        Write to me again
      </Act>
    </div>
  );
}
