import { useState } from 'react';
import { Act, day, Failed, useAddress, Waiting } from '../../ui';
import { useAlerts } from '../alerts';
import { Title } from '../help';
import { ReportActs } from '../report';
import { useHere } from '../session';
import { askedFlow, useFlow } from './api';
import { Drawing } from './Drawing';
import { NumbersTable } from './NumbersTable';
import { WorksOfNumber } from './WorksOfNumber';

/** What became of what came in: drawn, as a table, and each number with its works. */
export function FlowPage() {
  const here = useHere();
  const { params, change } = useAddress();
  const asked = askedFlow(params);
  const found = useFlow(here.id, asked);
  const alerts = useAlerts(here.id).data ?? [];
  const [named, setNamed] = useState(false);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  if (!found.data) return <Waiting what="the flow" />;
  const flow = found.data;
  const number = params.get('n') ?? '';
  const chosen = flow.boxes.flatMap((box) => [box, ...box.parts]).find(({ key }) => key === number);
  const file = new URLSearchParams({ ...asked, from: flow.from, to: flow.to });
  const days = (which: 'from' | 'to', label: string) => (
    <label className="flex items-baseline gap-1.5">
      {label}
      <input
        type="date"
        required
        className="field"
        value={flow[which]}
        onChange={(event) =>
          event.target.value && change(which, event.target.value, { replace: true })
        }
      />
    </label>
  );
  return (
    <div className="page">
      <title>Flow · Quiet Lantern</title>
      <Title help="flow" className="mb-1">
        Flow
      </Title>
      <p role="status">
        What became of what {flow.alert ? `“${flow.alert}”` : 'all alerts'} brought,{' '}
        {day(flow.from)} to {day(flow.to)}
      </p>
      <div className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-2 print:hidden">
        <select
          aria-label="Of which alert"
          className="field"
          value={asked.alert ?? ''}
          onChange={(event) => change('alert', event.target.value, { replace: true })}
        >
          <option value="">all alerts</option>
          {alerts.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        {days('from', 'from')}
        {days('to', 'to')}
      </div>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1 print:hidden">
        <ReportActs of={`${flow.name}${named ? ':names' : ''}`}>
          <Act main onClick={() => window.print()}>
            Print
          </Act>
          <a className="act" href={`/api/groups/${here.id}/flow/drawing?${file}`}>
            Download the drawing (SVG)
          </a>
        </ReportActs>
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="size-[16px] accent-primary"
            checked={named}
            onChange={() => setNamed(!named)}
          />
          files name who reviewed
        </label>
      </p>
      <div className="mt-4 grid gap-8 xl:grid-cols-[734px_minmax(0,1fr)]">
        <Drawing drawing={flow.drawing} />
        {chosen ? (
          <WorksOfNumber asked={asked} number={number} label={chosen.label} n={chosen.n} />
        ) : (
          <NumbersTable boxes={flow.boxes} />
        )}
      </div>
    </div>
  );
}
