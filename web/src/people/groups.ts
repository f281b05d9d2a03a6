import { useQuery } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { ColleagueGroup } from '../api/types';
import { attempt } from '../notices/attempt';

/** My own groups of colleagues; the favourites have no name. */
export const useGroups = () =>
  useQuery({
    queryKey: ['colleagues'],
    queryFn: () => get<ColleagueGroup[]>('/api/colleagues/groups'),
  }).data ?? [];

/** Puts a colleague into these groups of mine, and into no others. */
export const keepInGroups = (person: number, names: string[]) =>
  attempt(put(`/api/colleagues/${person}/groups`, { names }));
