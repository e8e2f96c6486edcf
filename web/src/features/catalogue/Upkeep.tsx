import { Link } from 'react-router';
import { counted, shortDay } from '../../ui';
import { useHere } from '../session';
import { useUpkeep } from './sourcesApi';

/** For stewards: records that something could not deal with, and the checks of the night. */
export function Upkeep() {
  const here = useHere();
  const upkeep = useUpkeep(here.id).data;
  if (!upkeep?.steward) return null;
  const { setAside, checks } = upkeep;
  return (
    <section aria-label="For stewards" className="mt-6 max-w-[52rem]">
      <h2 className="small-head">For stewards</h2>
      <p className="mt-1">
        {setAside.length === 0
          ? 'No record is set aside.'
          : `${counted(setAside.length, 'record')} could not be dealt with. Everything else went on; each is tried again when it changes or is read anew.`}
      </p>
      <ul aria-label="Records set aside">
        {setAside.map((record) => (
          <li key={record.id + record.what} className="border-b border-base-300 py-2">
            <Link className="act font-serif text-[15.5px]" to={`/g/${here.id}/p/${record.id}`}>
              {record.title || record.id}
            </Link>
            <p className="text-[13px] text-soft">
              {record.what}, since {shortDay(record.at)}: {record.why}
            </p>
          </li>
        ))}
      </ul>
      <ul aria-label="Checks of the night" className="mt-2">
        {checks.map((check) => (
          <li key={check.what} className={check.differences > 0 ? 'text-error' : 'text-soft'}>
            {check.what}, checked on {shortDay(check.at)}:{' '}
            {check.differences === 0
              ? 'as it should be'
              : check.mended
                ? `${counted(check.differences, 'difference')} found and mended`
                : `${counted(check.differences, 'difference')} found`}
          </li>
        ))}
      </ul>
    </section>
  );
}
