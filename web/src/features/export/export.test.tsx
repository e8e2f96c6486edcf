import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { LeaveActs } from './LeaveActs';

const preview = {
  fileName: 'Verges.bib',
  works: 2,
  order: 'in the order of the list',
  first: '@article{oxlade2025clock,\n}\n',
  offered: ['abstract', 'link', 'marks'],
  left: [],
};

/** Lines that come when they are let through. */
function slowly() {
  const letters = new TextEncoder();
  let to: ReadableStreamDefaultController<Uint8Array> | undefined;
  const stream = new ReadableStream<Uint8Array>({ start: (controller) => void (to = controller) });
  return {
    stream,
    line: (value: unknown) => to?.enqueue(letters.encode(`${JSON.stringify(value)}\n`)),
    half: (text: string) => to?.enqueue(letters.encode(text)),
    end: () => to?.close(),
    abort: () => to?.error(new DOMException('', 'AbortError')),
  };
}

const saved: { name: string; text: Promise<string> }[] = [];

beforeEach(() => {
  saved.length = 0;
  let last: Blob | undefined;
  vi.stubGlobal(
    'URL',
    Object.assign(URL, {
      createObjectURL: (blob: Blob) => ((last = blob), 'blob:x'),
      revokeObjectURL: () => undefined,
    }),
  );
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
    this: HTMLAnchorElement,
  ) {
    saved.push({ name: this.download, text: last?.text() ?? Promise.resolve('') });
  });
});

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  localStorage.clear();
});

async function open(file: ReturnType<typeof slowly>) {
  const asked = serve({ 'POST /folders/f1/export/preview': preview });
  const others = globalThis.fetch;
  const wanted: unknown[] = [];
  vi.stubGlobal('fetch', (to: RequestInfo | URL, init?: RequestInit) => {
    if (typeof to !== 'string') return others(to, init);
    wanted.push(JSON.parse(init?.body as string));
    init?.signal?.addEventListener('abort', file.abort);
    return Promise.resolve(new Response(file.stream));
  });
  showAt('/g/group/x', <LeaveActs of={() => ({ folder: 'f1', order: 'kept' })} />);
  await userEvent.click(await screen.findByRole('button', { name: 'Export' }));
  await screen.findByText(/2 publications, in the order of the list/);
  return { asked, wanted };
}

it('saves a file that came whole, says how many are in it, and remembers what was chosen', async () => {
  const file = slowly();
  const { wanted } = await open(file);
  await userEvent.click(screen.getByLabelText('BibTeX'));
  await userEvent.click(screen.getByLabelText('abstract'));
  await userEvent.click(screen.getByRole('button', { name: 'Save the file' }));
  file.line({ done: 1, text: 'one ' });
  await screen.findByText(/1 of 2/);
  file.half('{"done":2,"te');
  file.half('xt":"two"}\n');
  file.line({ works: 2, left: [{ what: 'zz', why: 'it is not in the catalogue' }] });
  await screen.findByText('2 publications are in the file.');
  expect(saved.map(({ name }) => name)).toEqual(['Verges.bib']);
  expect(await saved[0]?.text).toBe('one two');
  expect(wanted).toEqual([
    { format: 'bibtex', with: ['keywords', 'link'], commands: false, order: 'kept' },
  ]);
  expect(screen.getByText('1 publication left out')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  await userEvent.click(screen.getByRole('button', { name: 'Export' }));
  expect(await screen.findByLabelText('BibTeX')).toBeChecked();
  expect(screen.getByLabelText('abstract')).not.toBeChecked();
});

it('saves nothing of a file that broke off, and says so', async () => {
  const file = slowly();
  await open(file);
  await userEvent.click(screen.getByRole('button', { name: 'Save the file' }));
  file.line({ done: 1, text: 'one ' });
  file.end();
  expect(await screen.findByRole('alert')).toBeInTheDocument();
  expect(saved).toEqual([]);
  expect(screen.getByRole('button', { name: 'Save the file' })).toBeEnabled();
});

it('saves nothing after Cancel, and nothing is wrong', async () => {
  const file = slowly();
  await open(file);
  await userEvent.click(screen.getByRole('button', { name: 'Save the file' }));
  file.line({ done: 1, text: 'one ' });
  await userEvent.click(await screen.findByRole('button', { name: 'Cancel' }));
  await waitFor(() => expect(screen.getByRole('button', { name: 'Save the file' })).toBeEnabled());
  expect(screen.queryByRole('alert')).toBeNull();
  expect(saved).toEqual([]);
});

it('asks for a table of the columns that were ticked, in the order in which they are offered', async () => {
  const file = slowly();
  const { wanted } = await open(file);
  await userEvent.click(screen.getByLabelText('Table to compare'));
  await userEvent.click(screen.getByLabelText('kind'));
  await userEvent.click(screen.getByLabelText('authors'));
  await userEvent.click(screen.getByLabelText('marks'));
  await userEvent.click(await screen.findByRole('button', { name: 'Save as DOCX' }));
  file.half('x');
  file.end();
  await screen.findByText(/saved/);
  expect(saved.map(({ name }) => name)).toEqual(['Verges-table.docx']);
  expect(wanted).toEqual([
    {
      form: 'docx',
      columns: ['year', 'title', 'kind', 'study', 'taxon', 'marks'],
      order: 'kept',
      publications: null,
    },
  ]);
});
