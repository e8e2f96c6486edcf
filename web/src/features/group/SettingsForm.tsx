import { useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { ChoiceField, NameField, ZoneInput } from '../../ui';
import { LanguageField, StyleField, useCitingChoices } from '../citing';
import { useLimitSets } from '../search';
import { useHere } from '../session';
import { useSetGroup } from './settingsApi';

/** What coordinators set for the whole group. */
export function SettingsForm({ settings }: { settings: Schema['GroupSettings'] }) {
  const here = useHere();
  const set = useSetGroup(here.id);
  const limits = useLimitSets(here.id).data ?? [];
  const [wanted, setWanted] = useState(settings);
  const [reasons, setReasons] = useState(settings.reasons.join('\n'));
  const choices = useCitingChoices(here.id).data;
  const [style, setStyle] = useState<Schema['StyleShown'] | null>(null);
  const change = (part: Partial<typeof wanted>) => setWanted((now) => ({ ...now, ...part }));
  const all = { ...wanted, reasons: reasons.split('\n').filter((one) => one.trim()) };
  const ask = (id: string, is: boolean) =>
    change({
      librarians: [...wanted.librarians.filter((one) => one !== id), ...(is ? [id] : [])],
    });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!set.isPending) set.mutate(all);
  };
  return (
    <form onSubmit={submit} className="max-w-[36rem]">
      <NameField value={wanted.name} onChange={(name) => change({ name })} />
      <label className="mt-3 block">
        <span className="small-head">Time zone in which its days begin</span>
        <ZoneInput
          maxLength={120}
          className="field block w-full"
          value={wanted.zone}
          onChange={(zone) => change({ zone })}
        />
      </label>
      <fieldset className="mt-3">
        <legend className="small-head">Asked about searching (the group’s librarian)</legend>
        <div className="flex flex-wrap gap-x-5">
          {here.members
            .filter((one) => one.role !== 'guest')
            .map((one) => (
              <label key={one.id} className="flex min-h-[28px] items-center gap-2">
                <input
                  type="checkbox"
                  checked={wanted.librarians.includes(one.id)}
                  onChange={(event) => ask(one.id, event.target.checked)}
                />
                {one.name}
              </label>
            ))}
        </div>
      </fieldset>
      <label className="mt-2 flex min-h-[28px] items-center gap-2">
        <input
          type="checkbox"
          checked={wanted.membersInvite}
          onChange={(event) => change({ membersInvite: event.target.checked })}
        />
        Members ask people in, too, as members or guests
      </label>
      <ChoiceField
        label="Limits that a new sheet begins with"
        value={wanted.usualLimits ?? ''}
        of={limits}
        none={limits.length === 0 ? 'none; sets of limits are kept from a sheet' : 'none'}
        onChange={(id) => change({ usualLimits: id || null })}
      />
      <div className="mt-3">
        <StyleField
          chosen={style ?? choices?.style}
          onChoose={(next) => {
            setStyle(next);
            change({ citationStyle: next.name });
          }}
        />
      </div>
      <LanguageField
        value={wanted.citationLanguage}
        onChange={(citationLanguage) => change({ citationLanguage })}
      />
      <label className="mt-3 block">
        <span className="small-head">Reasons for passing a work, one a line</span>
        <textarea
          className="field block w-full"
          rows={4}
          value={reasons}
          onChange={(event) => setReasons(event.target.value)}
        />
      </label>
      <p className="mt-3">
        <button
          type="submit"
          className="act act-main"
          disabled={set.isPending || JSON.stringify(all) === JSON.stringify(settings)}
        >
          Set it so
        </button>
      </p>
      {set.error && (
        <p role="alert" className="text-error">
          {set.error.message}
        </p>
      )}
    </form>
  );
}
