import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { useRemarkChanges } from './api';
import { WriteRemark } from './WriteRemark';

/** One remark or answer, and what can be done with it. */
export function Remark({
  remark,
  settles = false,
}: {
  remark: Schema['RemarkThread'];
  /** Whether it is settled by itself, with its answers. */
  settles?: boolean;
}) {
  const here = useHere();
  const { write, takeBack, settle } = useRemarkChanges(here.id, remark.id);
  const [writing, setWriting] = useState(false);
  const { name, text, at, changed, mine, changeable, settled } = remark;
  if (writing) {
    return (
      <WriteRemark
        label="The remark"
        act="Write it anew"
        first={text ?? ''}
        pending={write.isPending}
        error={write.error}
        onWrite={(next) => write.mutate(next, { onSuccess: () => setWriting(false) })}
        onLeave={() => setWriting(false)}
      />
    );
  }
  return (
    <div>
      <p className="whitespace-pre-line">
        <b className="font-semibold">{name}</b>{' '}
        <span className="text-[12.5px] text-soft">
          {shortDay(at)}
          {changed && ', written anew'}
        </span>
        : {text ?? <i className="text-soft">taken back</i>}
      </p>
      {text !== null && text !== undefined && mayWrite(here) && (
        <p className="flex flex-wrap gap-x-4 text-[13px]">
          {changeable && <Act onClick={() => setWriting(true)}>Write it anew</Act>}
          {mine && (
            <Act disabled={takeBack.isPending} onClick={() => takeBack.mutate(null)}>
              Take it back
            </Act>
          )}
          {settles && (
            <Act disabled={settle.isPending} onClick={() => settle.mutate(!settled)}>
              {settled ? 'Not settled' : 'Settle'}
            </Act>
          )}
        </p>
      )}
    </div>
  );
}
