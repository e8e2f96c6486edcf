import { ChoiceField } from '../../ui';
import { RHYTHMS } from './rhythm';

const COVERS = [
  ['mark', 'Any mark that lights a lamp'],
  ['verdict', 'A keep or a pass'],
  ['apart', 'Keeps and passes, apart: nobody reads what another said until all have decided'],
] as const;

/** It takes two to decide apart. */
export function covering(asked: string, covers: string) {
  return Number(asked) < 2 && covers === 'apart' ? 'verdict' : covers;
}

/** When rounds of an alert close, how many look at each arrival, and where keeps go. */
export type Chosen = {
  rhythm: string;
  hour: string;
  asked: string;
  covers: string;
  folder: string;
  tellsWidened: boolean;
};

export function WhenAndWho({
  chosen,
  folders,
  alsoSaved = false,
  onChange,
}: {
  chosen: Chosen;
  folders: readonly { id: string; name: string }[];
  /** The folder is also the one in which the search is saved. */
  alsoSaved?: boolean;
  onChange: (chosen: Chosen) => void;
}) {
  const rhythms = RHYTHMS.some(([value]) => value === chosen.rhythm)
    ? RHYTHMS
    : [[chosen.rhythm, 'as it is now'] as const, ...RHYTHMS];
  return (
    <>
      <label className="mt-3 block">
        <span className="small-head">Its rounds close</span>
        <select
          className="field block w-full"
          value={chosen.rhythm}
          onChange={(event) => onChange({ ...chosen, rhythm: event.target.value })}
        >
          {rhythms.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-3 flex flex-wrap gap-4">
        <label>
          <span className="small-head">At (the group’s time)</span>
          <input
            type="time"
            required
            className="field block"
            value={chosen.hour}
            onChange={(event) => onChange({ ...chosen, hour: event.target.value })}
          />
        </label>
        <label>
          <span className="small-head">Members who look at an arrival</span>
          <input
            type="number"
            required
            min={1}
            max={20}
            className="field block w-24"
            value={chosen.asked}
            onChange={(event) => onChange({ ...chosen, asked: event.target.value })}
          />
        </label>
      </div>
      <fieldset className="mt-3">
        <legend className="small-head">What covers it</legend>
        {COVERS.map(([value, words]) => (
          <label key={value} className="flex items-baseline gap-2 py-1">
            <input
              type="radio"
              name="covers"
              checked={covering(chosen.asked, chosen.covers) === value}
              disabled={value === 'apart' && Number(chosen.asked) < 2}
              onChange={() => onChange({ ...chosen, covers: value })}
            />
            <span>
              {words}
              {value === 'apart' && Number(chosen.asked) < 2 && (
                <span className="text-soft"> (it takes two members)</span>
              )}
            </span>
          </label>
        ))}
      </fieldset>
      <ChoiceField
        label={alsoSaved ? 'The search is saved in, and a keep goes into' : 'A keep goes into'}
        value={chosen.folder}
        of={folders}
        onChange={(folder) => onChange({ ...chosen, folder })}
      />
      <label className="mt-3 flex items-baseline gap-2">
        <input
          type="checkbox"
          checked={chosen.tellsWidened}
          onChange={(event) => onChange({ ...chosen, tellsWidened: event.target.checked })}
        />
        <span>
          What it finds more because headings, holdings or the calendar changed comes into a round,
          too
        </span>
      </label>
    </>
  );
}
