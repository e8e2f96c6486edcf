import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { CiteDialog } from './CiteDialog';
import { lastStyles } from './lastStyles';

afterEach(() => {
  vi.unstubAllGlobals();
  localStorage.clear();
});

const APA = { name: 'apa', title: 'APA Style 7th edition', format: 'author-date', checked: false };
const ECOLOGY = { name: 'ecology', title: 'Ecology', format: 'author-date', checked: false };
const run = (text: string, ...looks: string[]) => ({ text, looks });
const line = (...runs: { text: string; looks: string[] }[]) => [{ display: 'line', runs }];

const cited = {
  style: APA,
  language: '',
  missing: [],
  layout: { hangingIndent: true, secondFieldAlign: false, entrySpacing: 0, lineSpacing: 2 },
  entries: [
    {
      publication: 'p1',
      parts: line(run('Oxlade, A. (2025). '), run('Night walks', 'italic')),
      faults: [
        {
          kind: 'capitals',
          words: 'capitals',
          sentence: 'The title is in capitals throughout.',
          field: 'title',
          fieldWords: 'title',
          reads: 'NIGHT WALKS',
          mend: 'Night walks',
          certain: true,
        },
      ],
    },
  ],
  inText: line(run('(Oxlade, 2025)')),
  narrative: line(run('Oxlade (2025)')),
  html: '<p>Oxlade</p>',
  text: 'Oxlade, A. (2025). Night walks',
};

function open(styles: unknown = { styles: [APA, ECOLOGY], count: 2 }) {
  const asked = serve({
    'GET /citing': { style: APA, language: '', languages: [{ code: 'de-DE', name: 'Deutsch' }] },
    'GET /styles': styles,
    'POST /citations': cited,
    'PUT /mends': { count: 1 },
  });
  const written: ClipboardItem[] = [];
  vi.stubGlobal(
    'ClipboardItem',
    class {
      constructor(readonly kinds: Record<string, Promise<Blob>>) {}
    },
  );
  Object.defineProperty(navigator, 'clipboard', {
    configurable: true,
    value: {
      write: (items: ClipboardItem[]) => {
        written.push(...items);
        return Promise.resolve();
      },
    },
  });
  showAt('/g/group/x', <CiteDialog publications={['p1']} onClose={() => {}} />);
  return { asked, written };
}

it('shows a work as an entry and in a text, and copies it with its looks and without', async () => {
  const { written } = open();
  expect(await screen.findByText('Night walks')).toHaveStyle({ fontStyle: 'italic' });
  expect(screen.getByText('Oxlade (2025)')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Copy the entry'));
  await waitFor(() => expect(written).toHaveLength(1));
  const { kinds } = written[0] as unknown as { kinds: Record<string, Promise<Blob>> };
  expect(Object.keys(kinds)).toEqual(['text/html', 'text/plain']);
  expect((await kinds['text/html'])?.type).toBe('text/html');
});

it('says before a work leaves what is wrong with it, and mends it', async () => {
  const { asked } = open();
  const before = await screen.findByText('Before this leaves: capitals');
  expect(screen.queryByText('The title is in capitals throughout.')).toBeNull();
  fireEvent.click(before);
  expect(screen.getByText('The title is in capitals throughout.')).toBeVisible();
  fireEvent.click(screen.getByText('Mend it'));
  await waitFor(() =>
    expect(asked.find((one) => one.path === '/mends')?.body).toEqual({
      mends: [{ publication: 'p1', field: 'title', was: 'NIGHT WALKS', value: 'Night walks' }],
    }),
  );
});

it('finds a style while one types, with the group’s first, and keeps what was chosen', async () => {
  const { asked } = open();
  const user = userEvent.setup();
  const field = await screen.findByRole('combobox', { name: 'Citation style' });
  await user.click(field);
  const list = screen.getByRole('listbox', { name: 'Styles found' });
  await waitFor(() => expect(within(list).getAllByRole('option')).toHaveLength(2));
  expect(within(list).getAllByRole('option')[0]).toHaveTextContent('the group’s');
  await user.keyboard('ecol');
  await waitFor(() => expect(asked.some((one) => one.query === '?typed=ecol')).toBe(true));
  await user.keyboard('{ArrowDown}{Enter}');
  await waitFor(() => {
    const last = asked.filter((one) => one.path === '/citations').at(-1);
    expect(last?.body).toMatchObject({ style: 'ecology' });
  });
  expect(lastStyles()).toEqual([ECOLOGY]);
  // Escape leaves the list, not the dialog.
  await user.click(field);
  await user.keyboard('{Escape}');
  expect(screen.getByRole('dialog')).toBeInTheDocument();
});

it('chooses by Enter what is found for the words typed, also where the answer is late', async () => {
  let answer = () => {};
  const late = new Promise<void>((done) => (answer = done));
  const { asked } = open(async (query: string) => {
    if (query !== '?typed=ecology') return { styles: [APA, ECOLOGY], count: 2 };
    await late;
    return { styles: [ECOLOGY], count: 1 };
  });
  const user = userEvent.setup();
  const field = await screen.findByRole('combobox', { name: 'Citation style' });
  await user.click(field);
  const list = screen.getByRole('listbox', { name: 'Styles found' });
  await waitFor(() => expect(within(list).getAllByRole('option')).toHaveLength(2));
  await user.keyboard('ecology{Enter}');
  expect(field).toHaveValue('ecology');
  answer();
  await waitFor(() => expect(field).toHaveValue('Ecology'));
  // A list that is closed holds nothing.
  expect(list).toBeEmptyDOMElement();
  expect(asked.some(({ body }) => (body as { style?: string })?.style === 'apa')).toBe(false);
});

it('asks for pages and words around a work', async () => {
  const { asked } = open();
  fireEvent.click(await screen.findByText('Pages, and words around it'));
  fireEvent.change(screen.getByLabelText(/^which/), { target: { value: '12' } });
  fireEvent.change(screen.getByLabelText(/^words before/), { target: { value: 'see' } });
  await waitFor(() =>
    expect(asked.filter((one) => one.path === '/citations').at(-1)?.body).toMatchObject({
      cites: [{ publication: 'p1', locator: '12', prefix: 'see' }],
    }),
  );
});

it('forgets styles that were kept in another form', () => {
  localStorage.setItem('lantern.styles', '[{"name":1},"x",null]');
  expect(lastStyles()).toEqual([]);
  localStorage.setItem('lantern.styles', '{');
  expect(lastStyles()).toEqual([]);
});
