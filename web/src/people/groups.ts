import { useQuery } from '@tanstack/react-query';
import { get, post } from '../api/client';
import type { ColleagueGroup, GroupChange } from '../api/types';
import { attempt } from '../notices/attempt';

/** My own groups of colleagues; the favourites have no name. */
export const useGroups = () =>
  useQuery({
    queryKey: ['colleagues'],
    queryFn: () => get<ColleagueGroup[]>('/api/colleagues/groups'),
  }).data ?? [];

/** Puts a colleague into some groups of mine and takes them out of others. */
export const changeGroupsOf = (person: number, change: GroupChange) =>
  attempt(post(`/api/colleagues/${person}/groups`, change));
