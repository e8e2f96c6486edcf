import type { FormEvent, ReactNode } from 'react';

/** The frame of the pages outside of any group: signing in, coming in by a link, founding. */
export function Entrance({
  says,
  onSubmit,
  children,
}: {
  says: ReactNode;
  onSubmit: () => void;
  children: ReactNode;
}) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSubmit();
  };
  return (
    <main className="flex h-full items-center justify-center p-6">
      <form onSubmit={submit} className="w-80 max-w-full">
        <h1 className="flex items-center gap-2 font-serif text-2xl font-semibold">
          <img src="/lantern.svg" alt="" width="18" height="26" />
          Quiet Lantern
        </h1>
        <p className="mt-1 text-soft">{says}</p>
        {children}
      </form>
    </main>
  );
}

export function EntranceField({
  label,
  value,
  onChange,
  ...more
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  type?: 'email' | 'password' | 'text';
  autoComplete?: string;
  autoFocus?: boolean;
  minLength?: number;
  maxLength?: number;
}) {
  return (
    <label className="mt-3 block">
      <span className="small-head">{label}</span>
      <input
        className="field w-full"
        required
        value={value}
        onChange={(event) => onChange(event.target.value)}
        {...more}
      />
    </label>
  );
}

export function EntranceEnd({
  act,
  busy,
  error,
}: {
  act: string;
  busy: boolean;
  error: Error | null;
}) {
  return (
    <>
      {error && (
        <p role="alert" className="mt-3 text-error">
          {error.message}
        </p>
      )}
      <button type="submit" disabled={busy} className="act act-main mt-5">
        {act}
      </button>
    </>
  );
}
