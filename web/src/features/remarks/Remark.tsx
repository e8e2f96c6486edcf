import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, shortDay } from '../../ui';
import { mayWrite, useHere } from '../session';
import { NewTaskDialog } from '../tasks';
import { useRemarkChanges } from './api';
import { WriteRemark } from './WriteRemark';

/** One remark or answer, and what can be done with it. */
export function Remark({
  remark,
  publication,
  may,
}: {
  remark: Schema['RemarkThread'];
  /** Of one that begins: it is settled with its answers, and may become a task. */
  publication?: string;
  /** Whether the reader may say something here. */
  may: boolean;
}) {
  const here = useHere();
  const { write, takeBack, settle } = useRemarkChanges(here.id, remark.id);
  const [writing, setWriting] = useState(false);
  const [isTasking, setTasking] = useState(false);
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
      {text !== null && text !== undefined && may && (
        <p className="flex flex-wrap gap-x-4 text-[13px]">
          {changeable && <Act onClick={() => setWriting(true)}>Write it anew</Act>}
          {mine && (
            <Act disabled={takeBack.isPending} onClick={() => takeBack.mutate(null)}>
              Take it back
            </Act>
          )}
          {publication && mayWrite(here) && (
            <>
              <Act disabled={settle.isPending} onClick={() => settle.mutate(!settled)}>
                {settled ? 'Not settled' : 'Settle'}
              </Act>
              <Act onClick={() => setTasking(true)}>To be looked up…</Act>
            </>
          )}
        </p>
      )}
      {isTasking && (
        <NewTaskDialog
          begun={{
            text: (text ?? '').slice(0, 1000),
            ...(publication && { publication }),
            remark: remark.id,
          }}
          onClose={() => setTasking(false)}
        />
      )}
    </div>
  );
}
