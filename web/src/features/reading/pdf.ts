import type * as Library from 'pdfjs-dist/legacy/build/pdf.mjs';
import workerAddress from 'pdfjs-dist/legacy/build/pdf.worker.min.mjs?url';

export type Pdf = Library.PDFDocumentProxy;
export type PdfPageProxy = Library.PDFPageProxy;
export type Pdfjs = typeof Library;

let library: Promise<Pdfjs> | undefined;

/** The library that draws PDFs; it is fetched when the first one is opened. */
export function pdfjs(): Promise<Pdfjs> {
  library ??= import('pdfjs-dist/legacy/build/pdf.mjs').then((loaded) => {
    loaded.GlobalWorkerOptions.workerSrc = workerAddress;
    return loaded;
  });
  return library;
}

/** Opens a file piece by piece, whichever pages are looked at; nothing in it is run. */
export async function openPdf(address: string) {
  const { getDocument } = await pdfjs();
  return getDocument({
    url: address,
    rangeChunkSize: 1 << 18,
    disableAutoFetch: true,
    disableStream: true,
    isEvalSupported: false,
    enableXfa: false,
    useSystemFonts: true,
  });
}
