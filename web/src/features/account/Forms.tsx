import { useState, type FormEvent, type ReactNode } from 'react';
import { useAskForAddress, useSetPassword } from './api';

const SHORTEST = 10;

/** Another password. */
export function PasswordForm({ email }: { email: string }) {
  const set = useSetPassword();
  const [password, setPassword] = useState('');
  const [next, setNext] = useState('');
  return (
    <Own
      title="Another password"
      act="Change it"
      busy={set.isPending}
      error={set.error}
      onSubmit={() =>
        set.mutate(
          { password, next },
          {
            onSuccess: () => {
              setPassword('');
              setNext('');
            },
          },
        )
      }
    >
      {/* For whatever remembers passwords. */}
      <input type="email" autoComplete="username" value={email} readOnly hidden />
      <Field label="Your password" value={password} onChange={setPassword} />
      <Field
        label={`Another one, ${SHORTEST} characters or more`}
        value={next}
        isNew
        onChange={setNext}
      />
    </Own>
  );
}

/** Another address, once it has answered. */
export function AddressForm() {
  const ask = useAskForAddress();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  return (
    <Own
      title="Another address"
      act="Send it a letter"
      busy={ask.isPending}
      error={ask.error}
      onSubmit={() => ask.mutate({ email, password }, { onSuccess: () => setPassword('') })}
    >
      <label className="mt-2 block">
        E-mail
        <input
          required
          type="email"
          maxLength={320}
          className="field mt-1 block w-full"
          value={email}
          onChange={(event) => setEmail(event.target.value)}
        />
      </label>
      <Field label="Your password, to be sure" value={password} onChange={setPassword} />
    </Own>
  );
}

function Field({
  label,
  value,
  isNew = false,
  onChange,
}: {
  label: string;
  value: string;
  isNew?: boolean;
  onChange: (value: string) => void;
}) {
  return (
    <label className="mt-2 block">
      {label}
      <input
        required
        type="password"
        autoComplete={isNew ? 'new-password' : 'current-password'}
        {...(isNew ? { minLength: SHORTEST } : {})}
        maxLength={200}
        className="field mt-1 block w-full"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

function Own({
  title,
  act,
  busy,
  error,
  onSubmit,
  children,
}: {
  title: string;
  act: string;
  busy: boolean;
  error: Error | null;
  onSubmit: () => void;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <h2 className="small-head">{title}</h2>
      <form
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          onSubmit();
        }}
      >
        {children}
        {error && (
          <p role="alert" className="mt-2 text-error">
            {error.message}
          </p>
        )}
        <button type="submit" className="act act-main mt-3" disabled={busy}>
          {act}
        </button>
      </form>
    </section>
  );
}
