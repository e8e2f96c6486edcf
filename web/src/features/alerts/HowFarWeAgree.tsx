import { useState } from 'react';
import type { Schema } from '../../api';
import { counted } from '../../ui';
import { useHere } from '../session';
import { figureOf, inOneSentence, intervalOf, monthInWords } from './agreement';
import { useAgreement } from './api';
import { Unfolding } from './Unfolding';

/** How far those agree who decided apart on what an alert brought. */
export function HowFarWeAgree({ alert }: { alert: string }) {
  const here = useHere();
  const [open, setOpen] = useState(false);
  const found = useAgreement(here.id, alert, open);
  return (
    <Unfolding
      head="How far we agree"
      waiting="It is worked out …"
      found={found}
      open={open}
      onOpen={setOpen}
    >
      {found.data && <Told of={found.data} />}
    </Unfolding>
  );
}

function Told({ of }: { of: Schema['AgreementShown'] }) {
  if (of.opened === 0)
    return (
      <p className="text-soft">
        Nothing was decided on apart yet: it counts when as many have decided as are asked for.
      </p>
    );
  const others = of.opened - of.counted - of.inTheOpen;
  return (
    <>
      <p>
        {counted(of.opened, 'work')} decided on apart, {of.counted} of them counted here.
        {of.inTheOpen > 0 &&
          ` Left out: ${of.inTheOpen} on which somebody had decided where others could read it.`}
        {others > 0 &&
          ` ${others} on which others decided than were asked for, or that were raised.`}
      </p>
      {of.counted > 0 && (
        <>
          <p className="mt-1">{inOneSentence(of)}</p>
          <Figures of={of} />
          {of.months.length > 1 && <Months months={of.months} />}
        </>
      )}
    </>
  );
}

/** Each two, and all of them, with the interval of 95 % and how many works it is of. */
function Figures({ of }: { of: Schema['AgreementShown'] }) {
  return (
    // It can be wider than a telephone, and is moved by keyboard, too.
    <div role="region" aria-label="Figures" tabIndex={0} className="overflow-x-auto">
      <table className="mt-2 text-[13px] [&_td]:pr-8 [&_td]:whitespace-nowrap [&_th]:pr-8 [&_th]:font-normal">
        <thead>
          <tr className="text-left text-soft">
            <th>each two</th>
            <th>the same</th>
            <th>Cohen’s kappa</th>
            <th>works</th>
          </tr>
        </thead>
        <tbody>
          {of.pairs.map((pair) => (
            <tr key={`${pair.one} ${pair.other}`}>
              <td>
                {pair.one} and {pair.other}
              </td>
              <Cell figure={pair.percent} percent />
              <Cell figure={pair.kappa} />
              <td>{pair.percent.works}</td>
            </tr>
          ))}
        </tbody>
        <thead>
          <tr className="text-left text-soft">
            <th className="pt-2">all readers</th>
            <th className="pt-2">Fleiss’ kappa</th>
            <th className="pt-2">Gwet’s AC1</th>
            <th className="pt-2">works</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>beyond chance</td>
            <Cell figure={of.fleiss} />
            <Cell figure={of.ac1} />
            <td>{of.ac1.works}</td>
          </tr>
        </tbody>
      </table>
    </div>
  );
}

function Cell({ figure, percent = false }: { figure: Schema['FigureShown']; percent?: boolean }) {
  return (
    <td>
      {figureOf(figure, percent)} <span className="text-soft">{intervalOf(figure, percent)}</span>
    </td>
  );
}

/** Month by month: a bar as long as the share on which all said the same. */
function Months({ months }: { months: Schema['OfMonth'][] }) {
  return (
    <ul aria-label="By month" className="mt-2 text-[13px]">
      {months.map(({ month, works, agreed }) => (
        <li key={month} className="flex items-center gap-2">
          <span className="w-32">{monthInWords(month)}</span>
          <span className="h-1.5 w-[108px] bg-base-300" aria-hidden="true">
            <span
              className="block h-full bg-accent"
              style={{ width: `${(100 * agreed) / works}%` }}
            />
          </span>
          all the same on {agreed} of {works}
        </li>
      ))}
    </ul>
  );
}
