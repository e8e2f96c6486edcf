import { useEffect, useRef, useState, type FormEvent } from 'react';
import type { Schema } from '../../api';
import { Act } from '../../ui';
import type { Of, useAnnotationActs } from './api';
import { useUnsaved } from './unsaved';

/**
 * Where an annotation is written by whoever writes it; others suggest by changing the words, or
 * say something of those that they choose.
 */
export function AnnotationForm({
  of,
  annotation,
  acts,
  focuses,
  onStale,
  onLeave,
}: {
  of: Of;
  annotation: Schema['AnnotationShown'];
  acts: ReturnType<typeof useAnnotationActs>;
  /** Whether it was asked for just now, to be typed into. */
  focuses: boolean;
  /** It was refused; somebody may have changed it. */
  onStale: () => void;
  onLeave: () => void;
}) {
  const { writes } = annotation;
  // What is sent is sent to what was seen: the one that was there when one began, or was refused.
  const [seen, setSeen] = useState(annotation);
  const { text, type, sent } = useUnsaved(of, seen.text);
  const [why, setWhy] = useState('');
  const [chosen, setChosen] = useState({ start: 0, end: 0 });
  const box = useRef<HTMLTextAreaElement>(null);
  useEffect(() => {
    if (!focuses) return;
    box.current?.focus();
    // One goes on behind what stands there.
    box.current?.setSelectionRange(box.current.value.length, box.current.value.length);
  }, [focuses]);
  const act = writes ? acts.write : acts.say;
  const isOther = text !== seen.text;
  const about = isOther ? '' : seen.text.slice(chosen.start, chosen.end);
  const options = {
    onSuccess: () => {
      sent();
      onLeave();
    },
    onError: onStale,
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    // After a refusal one has seen how it reads now.
    const known = act.error ? annotation : seen;
    setSeen(known);
    if (writes) {
      acts.write.mutate({ text, version: known.version }, options);
    } else if (isOther) {
      acts.say.mutate({ seen: known.text, text: why, instead: text }, options);
    } else {
      acts.say.mutate({ seen: known.text, text: why, ...(about && { about: chosen }) }, options);
    }
  };
  const says = writes
    ? 'Write it so'
    : isOther
      ? 'Suggest these words'
      : about
        ? `Remark on “${about.length > 24 ? `${about.slice(0, 24)}…` : about}”`
        : 'Remark on all of it';
  const nothing = writes ? !isOther : !isOther && !why.trim();
  return (
    <form onSubmit={submit} className="mt-1">
      <label className="block">
        <span className="small-head">
          {writes ? 'The annotation' : 'Change the words that you would write otherwise'}
        </span>
        <textarea
          ref={box}
          rows={Math.min(14, 4 + Math.floor(text.length / 60))}
          maxLength={10_000}
          className="field block w-full font-serif"
          value={text}
          onChange={(event) => type(event.target.value)}
          onSelect={(event) => {
            const { selectionStart: start, selectionEnd: end } = event.currentTarget;
            setChosen({ start, end });
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
              event.preventDefault();
              event.currentTarget.form?.requestSubmit();
            } else if (event.key === 'Escape') {
              event.stopPropagation();
              onLeave();
            }
          }}
        />
      </label>
      {!writes && (
        <label className="mt-1 block">
          <span className="small-head">
            {isOther ? 'Why' : about ? `What you say of “${about}”` : 'What you say of it'}
          </span>
          <input
            className="field block w-full"
            maxLength={4_000}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
        </label>
      )}
      {act.error && (
        <p role="alert" className="mt-1 text-error">
          {act.error.message}
        </p>
      )}
      <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <button type="submit" className="act act-main" disabled={nothing || act.isPending}>
          {says}
        </button>
        <Act onClick={onLeave}>Later</Act>
        <span className="text-[13px] text-soft">
          A line is a paragraph, *stars* make emphasis; what you typed waits here.
        </span>
      </p>
    </form>
  );
}
