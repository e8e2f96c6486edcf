import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, body, commandHeader, newCommand } from '../../api';
import { useMutation } from '@tanstack/react-query';
import { Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useSavedSearch } from './api';

/** Runs a saved search: makes it a step and leads on to it. */
export function SavedSearchPage() {
  const { id = '' } = useParams();
  const here = useHere();
  const navigate = useNavigate();
  const search = useSavedSearch(here.id, id);
  const strategy = search.data?.strategy;
  const { mutate, error } = useMutation({
    mutationFn: async () =>
      body(
        await api.POST('/api/groups/{group}/steps', {
          params: { path: { group: here.id }, header: commandHeader(newCommand()) },
          body: { asked: strategy ? { strategy } : {}, order: 'here' },
        }),
      ),
    onSuccess: (step) => navigate(`/g/${here.id}/q/${step.q}?order=here`, { replace: true }),
  });
  useEffect(() => {
    if (strategy) mutate();
  }, [strategy, mutate]);
  const failed = search.error ?? error;
  return failed ? <Failed error={failed} /> : <Waiting what="the saved search" />;
}
