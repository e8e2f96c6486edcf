import { Link, useParams } from 'react-router';
import { counted, day, Failed, Sentences, Waiting } from '../../ui';
import type { Schema } from '../../api';
import { ActivityLink } from '../activity';
import { Own, Title } from '../help';
import { useHere } from '../session';
import { useAlert } from './api';
import { AlertActs } from './AlertActs';
import { Differences } from './Differences';
import { FeedOfAlert } from './FeedOfAlert';
import { HowFarWeAgree } from './HowFarWeAgree';
import { LastRounds } from './LastRounds';
import { LastRuns } from './LastRuns';
import { MailOfAlert } from './MailOfAlert';
import { rhythmInWords } from './rhythm';
import { Yield } from './Yield';

/** What covers an arrival, where it is more than one mark. */
function coveredBy({ asked, covers }: Schema['AlertLine']): string {
  if (covers === 'apart')
    return `${asked} members decide on each arrival apart: nobody reads what another said until all of them have.`;
  if (covers === 'verdict')
    return `${counted(asked, 'verdict')} ${asked > 1 ? 'cover' : 'covers'} an arrival.`;
  return asked > 1 ? `${asked} lit lamps cover an arrival.` : '';
}

export function AlertPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const found = useAlert(here.id, id);
  if (found.error) return <Failed error={found.error} />;
  if (!found.data) return <Waiting what="the alert" />;
  const { alert, rounds } = found.data;
  return (
    <div className="page">
      <title>{`${alert.name} · Quiet Lantern`}</title>
      <Title help="alerts">{alert.name}</Title>
      <p className="mt-1 text-soft">
        An <Own word="alert">alert</Own> on {alert.tells === 'changes' && 'what changes of '}
        <Link className="act" to={`/g/${here.id}/s/${alert.search}`}>
          {alert.tells === 'changes' ? 'what its saved search finds' : 'its saved search'}
        </Link>
        , set by {alert.by} on {day(alert.at)}.{' '}
        <Own word="finding">{counted(alert.findings, 'finding')}</Own> so far. A keep goes into{' '}
        {alert.folder.id ? (
          <Link className="act" to={`/g/${here.id}/f/${alert.folder.id}`}>
            {alert.folder.name}
          </Link>
        ) : (
          'a folder for some'
        )}
        . <ActivityLink of={`alert:${id}`} />{' '}
        <Link className="act" to={`/g/${here.id}/flow?alert=${alert.id}`}>
          What became of it all
        </Link>
      </p>
      <p className="mt-1">
        Its <Own word="round">rounds</Own> close {rhythmInWords(alert.rhythm, alert.hour)}
        {alert.state === 'watching' && alert.nextCloses && (
          <span className="text-soft">, next on {day(alert.nextCloses)}</span>
        )}
        . {coveredBy(alert)}
      </p>
      <Sentences all={found.data.notes} />
      {alert.state === 'paused' && <p className="mt-1 font-semibold">It is paused.</p>}
      {alert.state === 'ended' && (
        <p className="mt-1 font-semibold">It has ended. Its arrivals and all marks stay.</p>
      )}
      <AlertActs alert={alert} />
      <LastRounds group={here.id} rounds={rounds} />
      {alert.asked > 1 && <HowFarWeAgree key={`agreement of ${alert.id}`} alert={alert.id} />}
      <Yield key={`yield of ${alert.id}`} alert={alert.id} />
      <LastRuns view={found.data} />
      <Differences key={alert.id} alert={alert.id} />
      {alert.state !== 'ended' && <MailOfAlert group={here.id} alert={alert.id} />}
      {alert.state !== 'ended' && <FeedOfAlert group={here.id} alert={alert.id} />}
    </div>
  );
}
