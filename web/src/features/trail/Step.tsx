import { Link } from 'react-router';
import type { Schema } from '../../api';
import { clock } from '../../ui';
import { useHere } from '../session';
import { sheetHolding, shortText } from '../strategy';

/** A step with what was found, what was opened from it, and what can be done with it. */
export function Step({
  step,
  ticked,
  onTick,
}: {
  step: Schema['TrailStep'];
  ticked: boolean;
  onTick: () => void;
}) {
  const here = useHere();
  const text = shortText(step.strategy);
  return (
    <li className="grid grid-cols-[20px_48px_minmax(0,1fr)_auto] items-baseline gap-x-2 border-b border-base-300 py-1.5">
      <input
        type="checkbox"
        aria-label={`Tick ${text}`}
        className="size-[14px] accent-primary"
        checked={ticked}
        onChange={onTick}
      />
      <span className="text-[13px] text-soft">{clock(step.at)}</span>
      <div className="min-w-0">
        <Link
          className="font-serif text-[16px] break-words hover:underline"
          to={`/g/${here.id}/q/${step.q}`}
        >
          {text}
        </Link>
        {step.opened.map((publication) => (
          <p key={publication.id} className="text-[13px] text-soft">
            opened{' '}
            <Link className="hover:underline" to={`/g/${here.id}/p/${publication.id}`}>
              {publication.title}
              {publication.retracted && <b className="text-error"> retracted</b>}
            </Link>
          </p>
        ))}
        <p className="flex flex-wrap gap-x-4 text-[13px]">
          <Link className="act" to={sheetHolding(here.id, `q:${step.q}`, true)}>
            Put on the sheet as a line
          </Link>
          <Link className="act" to={`/g/${here.id}/report?of=q:${step.q}`}>
            Report
          </Link>
        </p>
      </div>
      <span className="text-right">
        <b className="font-semibold">{step.count.toLocaleString('en-GB')}</b>
        {step.before != null && step.before !== step.count && (
          <span className="block text-[13px] text-soft">
            was {step.before.toLocaleString('en-GB')}
          </span>
        )}
      </span>
    </li>
  );
}
