import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, body, type Schema } from '../../api';
import { useNotice } from '../../ui';

const VISITS = ['visits'];

/** Where one is signed in. */
export function useVisits() {
  return useQuery({
    queryKey: VISITS,
    queryFn: async ({ signal }) => body(await api.GET('/api/me/visits', { signal })),
  });
}

const OWN = ['own settings'];

/** Where one's days begin, and when one's letters come. */
export function useOwnSettings() {
  return useQuery({
    queryKey: OWN,
    queryFn: async ({ signal }) => body(await api.GET('/api/me/settings', { signal })),
  });
}

const LETTERS = ['own letters'];

/** Whether letters arrive. */
export function useLettersArrive() {
  return useQuery({
    queryKey: LETTERS,
    queryFn: async ({ signal }) => body(await api.GET('/api/me/letters', { signal })),
  });
}

/** Something about one's account; what went wrong is told where it was asked. */
function useTold<Words>(send: (words: Words) => Promise<unknown>, says: (words: Words) => string) {
  const tell = useNotice();
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: (_, words) => {
      tell({ text: says(words) });
      void client.invalidateQueries({ queryKey: VISITS });
      void client.invalidateQueries({ queryKey: OWN });
      void client.invalidateQueries({ queryKey: LETTERS });
    },
  });
}

/** Another password; all other visits end. */
export function useSetPassword() {
  return useTold(
    (words: Schema['PasswordWords']) => api.PUT('/api/me/password', { body: words }),
    () => 'Your password is changed; you are signed in here only.',
  );
}

/** Sets when letters come. */
export function useSetOwn() {
  return useTold(
    (settings: Schema['AccountSettings']) => api.PUT('/api/me/settings', { body: settings }),
    ({ letters }) => (letters ? 'Your letters come so.' : 'No letter comes any more.'),
  );
}

/** That the address works again. */
export function useWriteAgain() {
  return useTold(
    () => api.POST('/api/me/letters/again'),
    () => 'Letters are written there again.',
  );
}

/** Asks an address whether it is one's own. */
export function useAskForAddress() {
  return useTold(
    (words: Schema['AddressWords']) => api.POST('/api/me/address', { body: words }),
    ({ email }) => `A letter is on its way to ${email}; its link works once, for an hour.`,
  );
}

/** Erases everything about oneself, for good. */
export function useErase() {
  return useTold(
    (password: string) => api.POST('/api/me/erased', { body: { password } }),
    () => 'Everything about you is erased.',
  );
}

/** Ends a visit; null: all others. */
export function useEndVisit() {
  return useTold(
    (visit: string | null) =>
      visit
        ? api.DELETE('/api/me/visits/{visit}', { params: { path: { visit } } })
        : api.DELETE('/api/me/visits'),
    (visit) => (visit ? 'That visit has ended.' : 'You are signed in here only.'),
  );
}
