import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { serve, showAt } from '../../test-server';
import { Annotation } from '.';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const TEXT = 'Counts *moths* by hand.';
const written = {
  version: 2,
  text: TEXT,
  paragraphs: [
    {
      words: [
        { text: 'Counts ', emphasised: false },
        { text: 'moths', emphasised: true },
        { text: ' by hand.', emphasised: false },
      ],
    },
  ],
  state: 'to be read',
  by: 'Teodor Vance',
  mine: false,
  edits: true,
  writes: false,
  suggests: true,
  at: '2026-11-20T10:00:00Z',
  remarks: [],
  wordings: [
    { n: 2, by: 'Teodor Vance', at: '2026-11-20T10:00:00Z', letters: 23 },
    { n: 1, by: 'Teodor Vance', at: '2026-11-19T10:00:00Z', letters: 9 },
  ],
};
const suggestion = {
  id: 'r1',
  by: 'Maren Aas',
  mine: false,
  at: '2026-11-21T10:00:00Z',
  start: 18,
  words: 'hand.',
  instead: 'eye.',
  text: 'nobody touched them',
  outcome: 'open',
};

function open(annotation: Record<string, unknown>) {
  const path = '/folders/f1/annotations/p1';
  const asked = serve({
    [`GET ${path}`]: { ...written, ...annotation },
    [`GET ${path}/wordings/1`]: { n: 1, text: 'Counts it' },
    [`PUT ${path}`]: { folder: 'f1', publication: 'p1', version: 3 },
    [`PUT ${path}/state`]: { folder: 'f1', publication: 'p1', version: 3 },
    [`PUT ${path}/remarks/r1`]: { folder: 'f1', publication: 'p1', version: 3 },
    [`POST ${path}/remarks`]: { count: 1 },
  });
  showAt('/g/group/f/f1', <Annotation of={{ group: 'group', folder: 'f1', publication: 'p1' }} />);
  return asked;
}

const sent = (asked: ReturnType<typeof open>, method: string) =>
  asked.find((one) => one.method === method)?.body;

it('makes suggestions of the words that a colleague writes otherwise', async () => {
  const asked = open({});
  expect(await screen.findByText('moths')).toContainHTML('<em>moths</em>');
  await userEvent.keyboard('a');
  const box = screen.getByLabelText(/would write otherwise/);
  fireEvent.change(box, { target: { value: TEXT.replace('hand', 'eye') } });
  await userEvent.type(screen.getByLabelText('Why'), 'nobody touched them');
  fireEvent.click(screen.getByText('Suggest these words'));
  await waitFor(() =>
    expect(sent(asked, 'POST')).toEqual({
      seen: TEXT,
      text: 'nobody touched them',
      instead: 'Counts *moths* by eye.',
    }),
  );
});

it('says something of the words that were chosen', async () => {
  const asked = open({});
  fireEvent.click(await screen.findByText('Suggest or remark'));
  const box = screen.getByLabelText<HTMLTextAreaElement>(/would write otherwise/);
  box.setSelectionRange(18, 22);
  fireEvent.select(box);
  await userEvent.type(screen.getByLabelText('What you say of “hand”'), 'Whose?');
  fireEvent.click(screen.getByText('Remark on “hand”'));
  await waitFor(() =>
    expect(sent(asked, 'POST')).toEqual({
      seen: TEXT,
      text: 'Whose?',
      about: { start: 18, end: 22 },
    }),
  );
});

it('keeps what was typed until it is sent', async () => {
  const asked = open({ mine: true, writes: true });
  fireEvent.click(await screen.findByText('Write it anew'));
  await userEvent.type(screen.getByLabelText('The annotation'), ' Twice.');
  expect(localStorage.getItem('lantern.annotation.group.f1.p1')).toBe(`${TEXT} Twice.`);
  await userEvent.keyboard('{Control>}{Enter}{/Control}');
  await waitFor(() => expect(sent(asked, 'PUT')).toEqual({ version: 2, text: `${TEXT} Twice.` }));
  await waitFor(() => expect(localStorage.getItem('lantern.annotation.group.f1.p1')).toBeNull());
});

it('offers the writer to take or leave what is suggested, and others to agree when that is done', async () => {
  const asked = open({ mine: true, writes: true, remarks: [suggestion] });
  fireEvent.click(await screen.findByText('Take it'));
  await waitFor(() => expect(sent(asked, 'PUT')).toEqual({ outcome: 'taken' }));
  expect(screen.queryByText('Agree')).toBeNull();
});

it('lets a colleague agree only when nothing is open', async () => {
  const asked = open({ remarks: [{ ...suggestion, outcome: 'left', dealtWith: 'Teodor Vance' }] });
  fireEvent.click(await screen.findByText('Agree'));
  await waitFor(() => expect(sent(asked, 'PUT')).toEqual({ state: 'agreed', version: 2 }));
});

it('does not offer to agree while something is open', async () => {
  open({ remarks: [suggestion] });
  expect((await screen.findByText('Agree')).closest('button')).toBeDisabled();
});

it('shows earlier words', async () => {
  open({});
  fireEvent.click(await screen.findByText('Earlier words'));
  fireEvent.click(screen.getAllByRole('button', { expanded: false }).at(-1) as HTMLElement);
  expect(await screen.findByText('Counts it')).toBeVisible();
});

it('loses nothing that is typed before it is known what stands there', async () => {
  open({ version: 0, text: '', paragraphs: [], writes: true, suggests: false, wordings: [] });
  await userEvent.keyboard('a');
  await userEvent.keyboard('Counts');
  await waitFor(() => expect(screen.getByText('Write it so')).toBeEnabled());
  expect(screen.getByLabelText('The annotation')).toHaveValue('Counts');
  // Whoever leaves it then, and comes back, finds it.
  await userEvent.keyboard('{Escape}');
  fireEvent.click(screen.getByText('Write an annotation'));
  expect(screen.getByLabelText('The annotation')).toHaveValue('Counts');
});
