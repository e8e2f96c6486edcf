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
  const flow = found.data;
  const number = params.get('n') ?? '';
  const chosen = flow?.boxes
    .flatMap((box) => [box, ...box.parts])
    .find(({ key }) => key === number);
  return (
    <div className="page">
      <title>Flow · Quiet Lantern</title>
      <Title help="flow" className="mb-1">
        Flow
      </Title>
      {flow && (
        <p role="status">
          What became of what {flow.alert ? `“${flow.alert}”` : 'all alerts'} brought,{' '}
          {day(flow.from)} to {day(flow.to)}
        </p>
      )}
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
        {(['from', 'to'] as const).map((which) => (
          <DayField
            key={which}
            label={which}
            value={asked[which] ?? flow?.[which] ?? ''}
            onChange={(value) => change(which, value, { replace: true })}
          />
        ))}
      </div>
      {found.error && <Failed error={found.error} again={() => void found.refetch()} />}
      {!flow && !found.error && <Waiting what="the flow" />}
      {flow && (
        <>
          <p className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1 print:hidden">
            <ReportActs of={`${flow.name}${named ? ':names' : ''}`}>
              <Act main onClick={() => window.print()}>
                Print
              </Act>
              <a
                className="act"
                href={`/api/groups/${here.id}/flow/drawing?${new URLSearchParams({ ...asked, from: flow.from, to: flow.to })}`}
              >
                Download the drawing (SVG)
              </a>
            </ReportActs>
            <label className="flex items-center gap-1.5 self-center">
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
        </>
      )}
    </div>
  );
}

/** A day is meant when its year is; until then it stays as it is typed. */
function DayField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const type = (next: string) => {
    setTyped(next);
    if (next >= '1900') onChange(next);
  };
  return (
    <label className="flex items-baseline gap-1.5">
      {label}
      <input
        type="date"
        required
        className="field"
        value={typed ?? value}
        onChange={(event) => type(event.target.value)}
        onBlur={() => setTyped(null)}
      />
    </label>
  );
}
