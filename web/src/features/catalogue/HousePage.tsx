import type { Schema } from '../../api';
import { counted, day, Failed, moment, Waiting } from '../../ui';
import { useHere } from '../session';
import { Title } from '../help';
import { Checks } from './Checks';
import { HouseJobs } from './HouseJobs';
import { HouseName } from './HouseName';
import { EndAccount, Letters } from './HousePeople';
import { useHouse } from './houseApi';
import { Parts } from './Parts';

/** How the installation is, for stewards: numbers and dates, nothing that members wrote. */
export function HousePage() {
  const here = useHere();
  const house = useHouse(here.id);
  if (house.error) return <Failed error={house.error} />;
  if (!house.data) return <Waiting what="the house" />;
  return (
    <div className="page">
      <title>House · Quiet Lantern</title>
      <Title help="house" className="mb-2">
        {house.data.name || 'House'}
      </Title>
      <Parts />
      {house.data.steward ? (
        <Whole house={house.data} />
      ) : (
        <p>Stewards of the installation look after the house.</p>
      )}
    </div>
  );
}

function Whole({ house }: { house: Schema['HouseShown'] }) {
  return (
    <div className="max-w-[52rem]">
      {house.missing.includes('name') && <p className="text-soft">The house has no name yet.</p>}
      <HouseName key={house.name} name={house.name ?? ''} />
      <Facts house={house} />
      <Checks check={house.check} />
      <HouseJobs jobs={house.jobs} />
      <Slow slow={house.slow} />
      <Groups groups={house.groups} />
      <Letters />
      <EndAccount />
    </div>
  );
}

function Facts({
  house: { version, databaseVersion, started, counts, sizes, lag, backup },
}: {
  house: Schema['HouseShown'];
}) {
  if (!counts || !sizes || !lag) return null;
  const facts: [string, string][] = [
    ['version', `${version}, on PostgreSQL ${databaseVersion}`],
    ['runs since', started ? moment(started) : ''],
    [
      'holds',
      `${counted(counts.publications, 'publication')} out of ${counted(counts.records, 'record')} of ${counted(counts.sources, 'source')}`,
    ],
    [
      'watches',
      `${counted(counts.alerts, 'alert')}${lag.alerts > 0 ? `, ${lag.alerts.toLocaleString('en-GB')} behind` : ', all up to date'}`,
    ],
    [
      'searches see',
      lag.indexStandsStill
        ? 'an index that stands still'
        : lag.index === 0
          ? 'every change'
          : `all but the last ${counted(lag.index, 'change')}`,
    ],
    [
      'takes',
      `${bytes(sizes.database)} of database, ${bytes(sizes.index)} of index, ${bytes(sizes.memory)} of ${bytes(sizes.memoryMost)} memory; ${bytes(sizes.diskFree)} of ${bytes(sizes.disk)} are free on the disk`,
    ],
    [
      'waits for somebody',
      `${counted(counts.setAside, 'record')} set aside, ${counted(counts.doubtful, 'pair')} that may be the same work`,
    ],
    [
      'last copy',
      backup
        ? `${moment(backup.at)}, ${bytes(backup.bytes)}, in ${backup.place}`
        : 'none was made yet',
    ],
  ];
  return (
    <dl className="mt-4 grid grid-cols-1 gap-x-4 gap-y-1 sm:grid-cols-[9rem_1fr]">
      {facts.map(([what, is]) => (
        <div key={what} className="contents">
          <dt className="text-soft">{what}</dt>
          <dd className="break-words">{is}</dd>
        </div>
      ))}
    </dl>
  );
}

function Slow({ slow }: { slow: Schema['Slow'][] }) {
  if (slow.length === 0) return null;
  return (
    <section aria-label="Slow searches" className="mt-6">
      <h2 className="small-head">Searches that took longer than half a second, by their lines</h2>
      <ul>
        {slow.map((one) => (
          <li key={one.shape}>
            {one.shape}:{' '}
            <span className="text-soft">
              {counted(one.count, 'time')}, at most {(one.longest / 1000).toFixed(1)} s, last on{' '}
              {moment(one.last)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Groups({ groups }: { groups: Schema['GroupShown'][] }) {
  return (
    <section aria-label="Groups" className="mt-6">
      <h2 className="small-head">Groups</h2>
      <ul>
        {groups.map((group) => (
          <li key={group.name}>
            {group.name}:{' '}
            <span className="text-soft">
              {counted(group.members, 'member')}
              {group.active && `, last active on ${day(group.active)}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** In the unit that says it best. */
function bytes(count: number): string {
  const units = ['bytes', 'kB', 'MB', 'GB', 'TB'];
  let size = count;
  let unit = 0;
  while (size >= 1000 && unit < units.length - 1) {
    size /= 1000;
    unit++;
  }
  return `${size < 10 && unit > 0 ? size.toFixed(1) : Math.round(size)} ${units[unit]}`;
}
