import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { serve, showAt } from '../../test-server';
import { VocabularyDialog } from './VocabularyDialog';

const CHANGES: Schema['VocabularyChanges'] = {
  terms: 3,
  added: 1,
  renamed: [{ from: 'Lanterns', to: 'Lamps' }],
  replaced: [{ label: 'Nuisance', by: ['Glare', 'Skyglow'] }],
  retired: ['Ether'],
  problems: [{ line: 7, sentence: '“Owls” lies under itself, through “Birds”' }],
};

afterEach(() => vi.unstubAllGlobals());

it('shows what a file would change before it is taken in, and sends it as it is', async () => {
  const asked = serve({ 'POST /vocabulary/look': CHANGES, 'PUT /vocabulary': CHANGES });
  const close = vi.fn();
  showAt('/g/group/catalogue/headings', <VocabularyDialog onClose={close} />);
  expect(screen.getByText('Take it in')).toBeDisabled();
  const latin = new Uint8Array([0x4b, 0xe4, 0x66, 0x65, 0x72]);
  await userEvent.upload(
    screen.getByLabelText('Vocabulary file (SKOS)'),
    new File([latin], 'v.ttl'),
  );
  expect(await screen.findByText('Lanterns → Lamps')).toBeInTheDocument();
  expect(screen.getByText('Nuisance by Glare and Skyglow')).toBeInTheDocument();
  expect(screen.getByText('line 7: “Owls” lies under itself, through “Birds”')).toBeInTheDocument();
  expect(asked.map(({ method }) => method)).toEqual(['POST']);
  expect(asked[0]?.body).toEqual({ file: 'S+RmZXI=' });
  await userEvent.click(screen.getByText('Take it in'));
  await vi.waitFor(() => expect(close).toHaveBeenCalled());
  expect(asked[1]?.command).toBeTruthy();
});

it('tells how far a long reading is, and ends it when the dialog is closed', async () => {
  const signals: AbortSignal[] = [];
  vi.stubGlobal('fetch', (request: Request) => {
    if (request.url.endsWith('/progress')) return Promise.resolve(Response.json({ terms: 12_000 }));
    signals.push(request.signal);
    return new Promise(() => undefined);
  });
  const close = vi.fn();
  showAt('/g/group/catalogue/headings', <VocabularyDialog onClose={close} />);
  await userEvent.upload(
    screen.getByLabelText('Vocabulary file (SKOS)'),
    new File(['large'], 'v.ttl'),
  );
  expect(await screen.findByText(/12,000 terms read so far/)).toBeInTheDocument();
  expect(signals.map(({ aborted }) => aborted)).toEqual([false]);
  cleanup();
  expect(signals.map(({ aborted }) => aborted)).toEqual([true]);
});
