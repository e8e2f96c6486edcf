import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted, shortDay, useKeys } from '../../ui';
import { AnnotationForm } from './AnnotationForm';
import { useAnnotation, useAnnotationActs, type Of } from './api';
import { Paragraphs } from './Paragraphs';
import { RemarksOnWords } from './RemarksOnWords';
import { isUnsaved, useEarly } from './unsaved';
import { Wordings } from './Wordings';

/** What is said below an entry: its words, how far they are, and what colleagues say of them. */
export function Annotation({ of }: { of: Of }) {
  const found = useAnnotation(of);
  const acts = useAnnotationActs(of);
  // What was typed before is shown again; it takes no focus from whoever only passes by.
  const [open, setOpen] = useState<'no' | 'again' | 'asked'>(() =>
    isUnsaved(of) ? 'again' : 'no',
  );
  const annotation = found.data;
  const may = Boolean(annotation && (annotation.writes || annotation.suggests));
  // Who is fast types before it is known what stands there: nothing of that is lost.
  const early = useEarly(of);
  useKeys({ a: () => setOpen('asked') });
  if (!annotation) {
    return open === 'asked' ? (
      <textarea
        autoFocus
        aria-label="The annotation"
        className="field block w-full font-serif"
        value={early.text}
        onChange={(event) => early.type(event.target.value)}
      />
    ) : null;
  }
  const { text, paragraphs, state, by, mine, agreedBy, at, writes, suggests } = annotation;
  if (!text && !writes) return null;
  const waits = annotation.remarks.filter((one) => one.outcome === 'open').length;
  return (
    <section aria-label="Annotation">
      <h3 className="small-head mt-3">Annotation</h3>
      {text && (
        <>
          <Paragraphs of={paragraphs} />
          <p className="text-[13px] text-soft">
            {mine ? 'You write it' : `${by} writes it`}
            {at && `, ${shortDay(at)}`} · <b className="font-semibold">{state}</b>
            {agreedBy && ` by ${agreedBy}`}
            {waits > 0 && ` · ${counted(waits, 'remark')} open`}
          </p>
        </>
      )}
      {may && open === 'no' && (
        <p className="flex flex-wrap gap-x-4">
          <Act hint="a" onClick={() => setOpen('asked')}>
            {writes ? (text ? 'Write it anew' : 'Write an annotation') : 'Suggest or remark'}
          </Act>
          {text && <StateActs annotation={annotation} acts={acts} waits={waits} />}
        </p>
      )}
      {may && open !== 'no' && (
        <AnnotationForm
          key={open}
          focuses={open === 'asked'}
          of={of}
          annotation={annotation}
          acts={acts}
          onStale={() => void found.refetch()}
          onLeave={() => setOpen('no')}
        />
      )}
      {annotation.remarks.length > 0 && (
        <RemarksOnWords remarks={annotation.remarks} mayDeal={mine && writes} acts={acts} />
      )}
      {(suggests || writes) && annotation.wordings.length > 1 && (
        <Wordings of={of} wordings={annotation.wordings} />
      )}
    </section>
  );
}

/** The next step of it: to be read, agreed, a draft again; going on with another's. */
function StateActs({
  annotation,
  acts,
  waits,
}: {
  annotation: Schema['AnnotationShown'];
  acts: ReturnType<typeof useAnnotationActs>;
  waits: number;
}) {
  const { state, mine, suggests, version, edits } = annotation;
  const say = (next: string) => acts.state.mutate({ state: next, version });
  if (!edits || !suggests) return null;
  return (
    <>
      {mine && state === 'draft' && <Act onClick={() => say('to be read')}>To be read</Act>}
      {mine && state !== 'draft' && <Act onClick={() => say('draft')}>A draft again</Act>}
      {!mine && state !== 'agreed' && (
        <Act
          disabled={waits > 0}
          title={waits > 0 ? 'What was said of it is taken or left first' : undefined}
          onClick={() => say('agreed')}
        >
          Agree
        </Act>
      )}
      {!mine && state === 'agreed' && <Act onClick={() => say('to be read')}>Not agreed</Act>}
      {!mine && <Act onClick={() => acts.takeOver.mutate(version)}>Go on with it myself</Act>}
    </>
  );
}
