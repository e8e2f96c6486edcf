import { useEffect, useRef, useState, type RefObject } from 'react';
import { Waiting } from '../../ui';
import { openPdf, type Pdf } from './pdf';
import { PdfPage, type Size } from './PdfPage';
import type { Viewing } from './viewing';

/** The pages of a file as they are, drawn when they come into view. */
export function PdfText({
  address,
  labels,
  zoom,
  viewing,
  scroller,
}: {
  address: string;
  labels: string[];
  zoom: number;
  viewing: Viewing;
  scroller: RefObject<HTMLElement | null>;
}) {
  const { pdf, size, error } = useOpened(address);
  const column = useRef<HTMLDivElement>(null);
  const width = useWidth(column);
  if (error) {
    return <p className="p-6 text-error">The file cannot be drawn here: {error}</p>;
  }
  return (
    <div ref={column} className="mx-auto max-w-[900px] px-2">
      {!pdf && <Waiting what="the first page" />}
      {pdf &&
        size &&
        width > 0 &&
        labels.map((label, page) => (
          <PdfPage
            key={page}
            pdf={pdf}
            page={page}
            label={label}
            usual={size}
            scale={(width / size.width) * zoom}
            viewing={viewing}
            scroller={scroller}
          />
        ))}
    </div>
  );
}

function useOpened(address: string) {
  const [opened, setOpened] = useState<{ pdf?: Pdf; size?: Size; error?: string }>({});
  useEffect(() => {
    let left = false;
    const opening = openPdf(address);
    const open = async () => {
      const pdf = await (await opening).promise;
      const first = (await pdf.getPage(1)).getViewport({ scale: 1 });
      if (!left) setOpened({ pdf, size: { width: first.width, height: first.height } });
    };
    open().catch((error: unknown) => {
      if (!left) setOpened({ error: error instanceof Error ? error.message : String(error) });
    });
    return () => {
      left = true;
      setOpened({});
      void opening.then((task) => task.destroy());
    };
  }, [address]);
  return opened;
}

function useWidth(element: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const watched = element.current;
    if (!watched) return;
    const measure = () => setWidth(watched.clientWidth - 16);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(watched);
    return () => watch.disconnect();
  }, [element]);
  return width;
}
