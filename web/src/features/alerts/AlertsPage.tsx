import { Link } from 'react-router';
import { counted, Failed, shortDay, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useAlerts } from './api';
import { rhythmInWords } from './rhythm';

export function AlertsPage() {
  const here = useHere();
  const alerts = useAlerts(here.id);
  if (alerts.error) return <Failed error={alerts.error} again={() => void alerts.refetch()} />;
  if (!alerts.data) return <Waiting what="alerts" />;
  return (
    <div className="page">
      <title>Alerts · Quiet Lantern</title>
      <Title help="alerts">Alerts of {here.name}</Title>
      {!here.me.onlyFolders && (
        <p className="mt-1 flex flex-wrap gap-x-4">
          <Link className="act" to={`/g/${here.id}/feeds`}>
            Your feeds
          </Link>
          <Link className="act" to={`/g/${here.id}/account`}>
            When your letters come
          </Link>
        </p>
      )}
      {alerts.data.length === 0 && (
        <p className="mt-3 text-soft">
          Nothing is watched yet. Save a search into a folder, then set an alert on it there.
        </p>
      )}
      <ul className="mt-3 max-w-[60rem]">
        {alerts.data.map((alert) => (
          <li key={alert.id} className="border-b border-base-300 py-2">
            <Link className="font-serif text-[16px] font-medium" to={`/g/${here.id}/a/${alert.id}`}>
              {alert.name}
            </Link>
            <p className="text-[13px] text-soft">
              {alert.state === 'watching' ? (
                rhythmInWords(alert.rhythm, alert.hour)
              ) : (
                <b className="font-semibold">{alert.state}</b>
              )}
              {alert.failed && <b className="font-semibold text-error"> · its last run failed</b>}
              {alert.setAside > 0 && ` · ${counted(alert.setAside, 'record')} set aside`} ·{' '}
              {counted(alert.findings, 'finding')} since {shortDay(alert.at)} · keeps go into{' '}
              {alert.folder.name || 'a folder for some'} · set by {alert.by}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}
