import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { serve, showAt } from '../../test-server';
import { LeaveActs } from './LeaveActs';
import { SentPage } from './SentPage';

const preview = {
  fileName: 'Verges.txt',
  works: 2,
  order: 'in the order of the list',
  first: 'Oxlade\n',
  offered: [],
  left: [],
};

it('mails to addresses as they were pasted and to members, once', async () => {
  const asked = serve({
    'POST /folders/f1/export/preview': { ...preview, works: 5 },
    'POST /folders/f1/sendings': { id: 's1', letters: 3, texts: 0 },
  });
  showAt('/g/group/x', <LeaveActs of={() => ({ folder: 'f1', order: 'kept' })} />);
  await userEvent.click(await screen.findByRole('button', { name: 'Mail…' }));
  await screen.findByText('Mail 5 publications');
  expect(screen.getByRole('button', { name: 'Send' })).toBeDisabled();
  await userEvent.type(screen.getByLabelText(/^To addresses/), 'a@x.example; b@x.example,');
  await userEvent.click(screen.getByLabelText('Teodor Vance'));
  await userEvent.type(screen.getByLabelText('What you say to it'), 'For the talk');
  await userEvent.dblClick(screen.getByRole('button', { name: 'Send' }));
  await waitFor(() => expect(screen.queryByText('Mail 5 publications')).toBeNull());
  const sent = asked.filter(({ path }) => path.endsWith('/sendings'));
  expect(sent.map(({ body }) => body)).toEqual([
    {
      addresses: ['a@x.example', 'b@x.example'],
      members: ['teo'],
      copy: false,
      note: 'For the talk',
      format: '',
      texts: false,
      with: ['abstract', 'keywords', 'link'],
      order: 'kept',
    },
  ]);
});

it('keeps what was written where a letter is refused, and says why', async () => {
  serve({ 'POST /folders/f1/export/preview': preview });
  showAt('/g/group/x', <LeaveActs of={() => ({ folder: 'f1', order: 'kept' })} />);
  await userEvent.click(await screen.findByRole('button', { name: 'Mail…' }));
  await userEvent.type(screen.getByLabelText(/^To addresses/), 'nobody');
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  expect(await screen.findByRole('alert')).toBeInTheDocument();
  expect(screen.getByLabelText(/^To addresses/)).toHaveValue('nobody');
});

it('says how letters stand, and why one could not be handed over', async () => {
  serve({
    'GET /sendings': [
      {
        id: 's1',
        name: 'Verges',
        works: 5,
        file: 'Verges.bib',
        texts: 2,
        at: '2026-11-24T08:00:00Z',
        letters: [
          { to: 'a@x.example', state: 'sent', trouble: null },
          { to: 'b@x.example', state: 'given up', trouble: '550 nobody of that name' },
        ],
      },
    ],
  });
  showAt('/g/group/sent', <SentPage />);
  expect(await screen.findByText('a@x.example: handed over')).toBeInTheDocument();
  expect(screen.getByText(/b@x.example: given up · 550 nobody/)).toBeInTheDocument();
  expect(screen.getByText(/with Verges.bib and 2 texts/)).toBeInTheDocument();
});

it('says which texts go along and why others do not, and sends a bibliography as one', async () => {
  const asked = serve({
    'POST /folders/f1/export/preview': { ...preview, works: 60 },
    'POST /sendings/texts': {
      along: [{ publication: 'p1', title: 'Moths', name: 'Oxlade-2025.pdf', size: 1_200_001 }],
      not: [{ publication: 'p2', title: 'Bats', why: 'The group has no text of it.' }],
      more: 10,
    },
    'POST /folders/f1/bibliography/sendings': { id: 's1', letters: 1, texts: 1 },
  });
  showAt(
    '/g/group/x',
    <LeaveActs of={() => ({ folder: 'f1', order: 'hand' })} annotations="agreed" />,
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Mail…' }));
  await userEvent.type(screen.getByLabelText(/^To addresses/), 'a@x.example');
  expect(asked.some(({ path }) => path.endsWith('/texts'))).toBe(false);
  await userEvent.click(screen.getByLabelText(/^with the texts/));
  expect(await screen.findByText(/1 text goes along, 1,201 KB. Of the 10/)).toBeInTheDocument();
  expect(screen.getByText(/The group has no text of it/)).toBeInTheDocument();
  await userEvent.selectOptions(screen.getByLabelText(/^The bibliography as a file/), 'docx');
  await userEvent.click(screen.getByRole('button', { name: 'Send' }));
  await waitFor(() => expect(screen.queryByText('Mail the bibliography')).toBeNull());
  expect(asked.find(({ path }) => path.endsWith('/bibliography/sendings'))?.body).toMatchObject({
    annotations: 'agreed',
    form: 'docx',
    letter: { addresses: ['a@x.example'], texts: true, format: '' },
  });
});
