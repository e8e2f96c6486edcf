import { useState, type ReactNode } from 'react';
import type { UseMutationResult } from '@tanstack/react-query';
import { ChooseFile, DialogForm } from '../../ui';

/** A file as it was chosen: its name and its text. */
export interface Chosen {
  name: string;
  file: string;
}

/** Brings a file of text in: what it changes is shown before it is taken. */
export function BringFile<Changes>({
  title,
  says,
  label,
  accept,
  look,
  take,
  onClose,
  children,
}: {
  title: string;
  says: string;
  /** What the file is, for those who do not see the dialog. */
  label: string;
  accept: string;
  look: UseMutationResult<Changes, Error, Chosen>;
  take: UseMutationResult<unknown, Error, Chosen>;
  onClose: () => void;
  children: (changes: Changes) => ReactNode;
}) {
  const [file, setFile] = useState<Chosen | null>(null);
  const choose = async (chosen: File | undefined) => {
    if (!chosen) return;
    const read = { name: chosen.name, file: await chosen.text() };
    setFile(read);
    look.mutate(read);
  };
  const changes = look.error ? undefined : look.data;
  return (
    <DialogForm
      title={title}
      wide
      act="Take them in"
      disabled={!file || !changes || take.isPending}
      error={take.error ?? look.error}
      onSubmit={() => file && take.mutate(file, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="max-w-[65ch] text-soft">{says}</p>
      <p className="mt-2">
        <ChooseFile
          label={label}
          accept={accept}
          disabled={look.isPending}
          onChosen={([chosen]) => void choose(chosen)}
        >
          {look.isPending ? 'Reading …' : 'Choose a file'}
        </ChooseFile>
      </p>
      {changes && (
        <div role="status" className="mt-2 max-h-[40vh] overflow-y-auto">
          {children(changes)}
        </div>
      )}
    </DialogForm>
  );
}
