import { useEffect, useRef, useState, type RefObject } from 'react';
import { pdfjs, type Pdf } from './pdf';
import type { Viewing } from './viewing';

export type Size = { width: number; height: number };

/** How far outside of what is seen pages are drawn already. */
const AHEAD = '900px 0px';

/** One page: a picture of it, and over the picture its words, which can be chosen and lit. */
export function PdfPage({
  pdf,
  page,
  label,
  usual,
  scale,
  viewing,
  scroller,
}: {
  pdf: Pdf;
  page: number;
  label: string;
  /** What a page measures that is not drawn yet. */
  usual: Size;
  scale: number;
  viewing: Viewing;
  scroller: RefObject<HTMLElement | null>;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState(usual);
  const near = useNear(frame, scroller);
  const canvas = useRef<HTMLCanvasElement>(null);
  const words = useRef<HTMLDivElement>(null);
  const { drawn } = viewing;
  useEffect(() => {
    const [picture, layer] = [canvas.current, words.current];
    if (!near || !picture || !layer) return;
    let left = false;
    const ending: (() => void)[] = [];
    const draw = async () => {
      const { TextLayer } = await pdfjs();
      const proxy = await pdf.getPage(page + 1);
      if (left) return;
      const plain = proxy.getViewport({ scale: 1 });
      setSize({ width: plain.width, height: plain.height });
      const sharp = Math.min(2, window.devicePixelRatio || 1);
      const viewport = proxy.getViewport({ scale: scale * sharp });
      picture.width = Math.floor(viewport.width);
      picture.height = Math.floor(viewport.height);
      const drawing = proxy.render({ canvas: picture, viewport });
      ending.push(() => drawing.cancel());
      layer.replaceChildren();
      const text = new TextLayer({
        textContentSource: proxy.streamTextContent(),
        container: layer,
        viewport: proxy.getViewport({ scale }),
      });
      ending.push(() => text.cancel());
      await text.render();
      if (!left) drawn(page, layer);
      await drawing.promise;
    };
    draw().catch((error: unknown) => {
      // A page that is left while it is drawn is no fault.
      if (!left) console.error(`page ${label} was not drawn`, error);
    });
    return () => {
      left = true;
      ending.forEach((end) => end());
      drawn(page, null);
    };
  }, [near, pdf, page, label, scale, drawn]);
  return (
    <div
      ref={frame}
      data-page={page}
      className="pdf-page relative mx-auto my-3"
      style={{
        width: size.width * scale,
        height: size.height * scale,
        ['--total-scale-factor' as string]: scale,
      }}
    >
      {near && (
        <>
          <canvas ref={canvas} className="h-full w-full" aria-hidden="true" />
          <div ref={words} className="text-layer" aria-label={`Page ${label}`} role="group" />
        </>
      )}
    </div>
  );
}

function useNear(
  element: RefObject<HTMLElement | null>,
  scroller: RefObject<HTMLElement | null>,
): boolean {
  const [near, setNear] = useState(false);
  useEffect(() => {
    const watched = element.current;
    if (!watched) return;
    const watch = new IntersectionObserver(
      (seen) => setNear(seen.some((one) => one.isIntersecting)),
      { root: scroller.current, rootMargin: AHEAD },
    );
    watch.observe(watched);
    return () => watch.disconnect();
  }, [element, scroller]);
  return near;
}
