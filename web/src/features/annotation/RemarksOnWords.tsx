import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import type { useAnnotationActs } from './api';

/** What colleagues say of some words, or would write instead; the writer takes or leaves it. */
export function RemarksOnWords({
  remarks,
  mayDeal,
  acts,
}: {
  remarks: readonly Schema['RemarkOnWords'][];
  mayDeal: boolean;
  acts: ReturnType<typeof useAnnotationActs>;
}) {
  return (
    <ul aria-label="Said of it">
      {remarks.map((remark) => (
        <li key={remark.id} className="border-b border-rule-strong py-1.5 last:border-0">
          <What remark={remark} />
          <p className="flex flex-wrap items-baseline gap-x-4 text-[13px]">
            <span className="text-soft">
              {remark.mine ? 'you' : remark.by}, {shortDay(remark.at)}
              {remark.outcome !== 'open' && ` · ${remark.outcome} by ${remark.dealtWith}`}
            </span>
            {mayDeal && remark.outcome === 'open' && (
              <>
                <Act
                  disabled={acts.deal.isPending}
                  onClick={() => acts.deal.mutate({ remark: remark.id, outcome: 'taken' })}
                >
                  {remark.instead == null ? 'Done' : 'Take it'}
                </Act>
                <Act
                  disabled={acts.deal.isPending}
                  onClick={() => acts.deal.mutate({ remark: remark.id, outcome: 'left' })}
                >
                  Leave it
                </Act>
              </>
            )}
            {mayDeal && remark.outcome === 'left' && (
              <Act onClick={() => acts.deal.mutate({ remark: remark.id, outcome: 'open' })}>
                Open again
              </Act>
            )}
            {remark.mine && remark.outcome === 'open' && (
              <Act onClick={() => acts.takeBack.mutate(remark.id)}>Take it back</Act>
            )}
          </p>
        </li>
      ))}
    </ul>
  );
}

/** The words, those that would stand there, and why. */
function What({ remark }: { remark: Schema['RemarkOnWords'] }) {
  const isGone = remark.words && remark.start == null && remark.outcome === 'open';
  const isOpen = remark.outcome === 'open';
  return (
    <div className={isOpen ? '' : 'text-soft'}>
      {remark.instead != null ? (
        <p className="font-serif">
          <del className="text-soft">
            <span className="sr-only">as it is: </span>
            {remark.words}
          </del>{' '}
          <ins className="no-underline">
            <span className="sr-only">suggested: </span>
            {remark.instead || '(nothing)'}
          </ins>
        </p>
      ) : (
        remark.words && <p className="font-serif">“{remark.words}”</p>
      )}
      {remark.text && <p className="whitespace-pre-line">{remark.text}</p>}
      {isGone && <p className="text-[13px] text-soft">These words are not there any more.</p>}
    </div>
  );
}
