import { useId, type ComponentProps } from 'react';

const ZONES = Intl.supportedValuesOf('timeZone');

/** A time zone by its name, `Europe/Oslo`; the known ones are offered. */
export function ZoneInput({
  onChange,
  ...more
}: Omit<ComponentProps<'input'>, 'onChange' | 'list'> & { onChange: (zone: string) => void }) {
  const list = useId();
  return (
    <>
      <input required list={list} {...more} onChange={(event) => onChange(event.target.value)} />
      <datalist id={list}>
        {ZONES.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
    </>
  );
}
