import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { Found } from '../api/types';
import { choices } from './choices';

function finding(text: string) {
  return {
    queryKey: ['find', text],
    queryFn: () => get<Found>(`/api/find?text=${encodeURIComponent(text)}`),
    staleTime: 2_000,
  };
}

/**
 * Finds what can be called or sent to while somebody types.
 *
 * @param most at most so many, the best first
 * @param without the person who is not to be offered
 */
export function useFinder(text: string, most = 20, without?: number) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const wanted = text.trim();
  const offered = useCallback(
    (found: Found) =>
      choices(found)
        .filter((each) => each.kind !== 'person' || each.person.id !== without)
        .slice(0, most),
    [most, without],
  );
  const { data } = useQuery({
    ...finding(wanted),
    enabled: wanted !== '',
    placeholderData: keepPreviousData,
  });

  /** Enter can be faster than the results: what counts is what the text as it stands finds. */
  const pick = useCallback(
    async (chosen: number) => {
      const found = offered(await queries.fetchQuery(finding(wanted)));
      return found[Math.min(chosen, found.length - 1)]?.to ?? wanted;
    },
    [queries, wanted, offered],
  );

  const refused = data?.dials.find((each) => each.problem);

  return {
    wanted,
    options: wanted === '' || !data ? [] : offered(data),
    hint: wanted !== '' && refused ? t(`problem.${refused.problem}`, { text: refused.shown }) : '',
    pick,
  };
}

/** Where the arrow keys lead in a list of this length. */
export function stepped(key: string, chosen: number, length: number): number {
  const step = key === 'ArrowDown' ? 1 : -1;
  return (length + chosen + step) % Math.max(1, length);
}
