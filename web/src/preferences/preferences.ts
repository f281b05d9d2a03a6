import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { Preference } from '../api/types';

const KEY = ['preferences'];

/** What I have chosen for my calls, and how to choose otherwise. */
export function usePreferences() {
  const queries = useQueryClient();
  const { data } = useQuery({
    queryKey: KEY,
    queryFn: () => get<Preference>('/api/preferences'),
    staleTime: 60_000,
  });
  const change = useMutation({
    mutationFn: (next: Preference) => put('/api/preferences', next),
    onSuccess: (_, next) => queries.setQueryData(KEY, next),
  });
  return { preference: data, choose: change.mutate, error: change.error };
}
