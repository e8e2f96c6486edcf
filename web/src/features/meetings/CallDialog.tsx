import { useState } from 'react';
import type { Schema } from '../../api';
import { DialogForm, TextField } from '../../ui';

type Called = Schema['NewMeeting'];

/** When and where the group meets. */
export function CallDialog({
  title,
  act,
  begun,
  zone,
  giving,
  onClose,
}: {
  title: string;
  act: string;
  begun: Called;
  zone: string;
  giving: {
    isPending: boolean;
    error: Error | null;
    mutate: (called: Called, then: { onSuccess: () => void }) => void;
  };
  onClose: () => void;
}) {
  const [called, setCalled] = useState({ ...begun, time: begun.time.slice(0, '14:00'.length) });
  const set = (part: Partial<Called>) => setCalled((now) => ({ ...now, ...part }));
  return (
    <DialogForm
      title={title}
      act={act}
      disabled={giving.isPending || !called.day || !called.time}
      error={giving.error}
      onSubmit={() => giving.mutate(called, { onSuccess: onClose })}
      onClose={onClose}
    >
      <div className="mt-3 flex gap-4">
        <label>
          <span className="small-head">Day</span>
          <input
            required
            type="date"
            className="field block"
            value={called.day}
            onChange={(event) => set({ day: event.target.value })}
          />
        </label>
        <label>
          <span className="small-head">Time</span>
          <input
            required
            type="time"
            className="field block"
            value={called.time}
            onChange={(event) => set({ time: event.target.value })}
          />
        </label>
      </div>
      <p className="mt-1 text-[13px] text-soft">In your group’s time, {zone}.</p>
      <div className="mt-2">
        <TextField
          label="Where (may be left out)"
          value={called.place}
          most={200}
          onChange={(place) => set({ place })}
        />
      </div>
    </DialogForm>
  );
}
