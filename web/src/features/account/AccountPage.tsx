import { useState } from 'react';
import { Act, chosenTheme, keysAreOn, setKeys, setTheme, type Theme } from '../../ui';
import { Title } from '../help';
import { useMe } from '../session';
import { AboutMe } from './AboutMe';
import { AddressForm, PasswordForm } from './Forms';
import { Letters } from './LettersForm';
import { Visits } from './Visits';

const THEMES: readonly (readonly [Theme | null, string])[] = [
  [null, 'as the device has it'],
  ['daybreak', 'day'],
  ['nightfall', 'night'],
];

/** What is a person's own, whatever group they are in. */
export function AccountPage() {
  const me = useMe().data;
  const [colours, setColours] = useState(chosenTheme);
  const [single, setSingle] = useState(keysAreOn);
  return (
    <div className="page">
      <title>Your account · Quiet Lantern</title>
      <Title help="account">Your account</Title>
      <p className="mt-1 text-soft">You come in as {me?.email}, into all of your groups.</p>
      <div className="mt-4 grid max-w-[52rem] gap-x-10 gap-y-5 md:grid-cols-2">
        <PasswordForm email={me?.email ?? ''} />
        <AddressForm />
      </div>
      <Letters />
      <Visits />
      <section aria-label="In this browser" className="mt-5 max-w-[52rem]">
        <h2 className="small-head">In this browser</h2>
        <p className="mt-1 flex flex-wrap items-baseline gap-x-4" role="group" aria-label="Colours">
          Colours:
          {THEMES.map(([theme, name]) => (
            <Act
              key={name}
              aria-pressed={colours === theme}
              onClick={() => {
                setTheme(theme);
                setColours(theme);
              }}
            >
              {name}
            </Act>
          ))}
        </p>
        <p className="mt-1">
          <label className="flex min-h-[24px] items-center gap-2">
            <input
              type="checkbox"
              checked={single}
              onChange={() => {
                setKeys(!single);
                setSingle(!single);
              }}
            />
            Single keys, such as 1 for keep
          </label>
        </p>
      </section>
      <AboutMe />
    </div>
  );
}
