import { ChoiceField } from '../../ui';
import { useHere } from '../session';

/** Who gets the alert by mail: everybody (null), or some of the group. */
export function ReceiversField({
  chosen,
  onChange,
}: {
  chosen: readonly string[] | null;
  onChange: (chosen: string[] | null) => void;
}) {
  const here = useHere();
  const members = here.members.filter((one) => !one.onlyFolders);
  return (
    <>
      <ChoiceField
        label="What it brings goes by mail"
        value={chosen ? 'some' : ''}
        of={[{ id: 'some', name: 'to some' }]}
        none="to everybody"
        onChange={(value) => onChange(value ? [here.me.id] : null)}
      />
      {chosen && (
        <fieldset className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
          <legend className="sr-only">Who gets it</legend>
          {members.map((one) => (
            <label key={one.id} className="flex min-h-[24px] items-center gap-1.5">
              <input
                type="checkbox"
                checked={chosen.includes(one.id)}
                onChange={() =>
                  onChange(
                    chosen.includes(one.id)
                      ? chosen.filter((other) => other !== one.id)
                      : [...chosen, one.id],
                  )
                }
              />
              {one.name}
            </label>
          ))}
        </fieldset>
      )}
    </>
  );
}
