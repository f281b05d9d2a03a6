import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { Found } from '../api/types';
import { type Choice, type Limit, choices, dialOf } from './choices';
import type { Step } from './steps';

function finding(text: string) {
  return {
    queryKey: ['find', text],
    queryFn: () => get<Found>(`/api/find?text=${encodeURIComponent(text)}`),
    staleTime: 2_000,
  };
}

/** With this a text may still be a part of what somebody has. */
const PERHAPS_A_PART = 'NOT_CALLABLE_UNKNOWN_EXTENSION';

/** Why the text cannot be called as it stands, unless it is part of what was found. */
function refusal(found: Found, options: Choice[]) {
  return found.dials.find(
    (each) => each.problem && (each.problem !== PERHAPS_A_PART || options.length === 0),
  );
}

/** What Enter means. */
export interface Meant {
  to: string;
  /** The emergency number that is called, when something else was typed. */
  emergency?: string;
}

/**
 * Finds what can be called or sent to while somebody types.
 *
 * @param most at most so many, the best first
 * @param without the person who is not to be offered
 * @param only what the list is limited to
 */
export function useFinder(text: string, most = 20, without?: number, only?: Limit) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const wanted = text.trim();
  const offered = useCallback(
    (found: Found) =>
      choices(found)
        .filter((each) => each.kind !== 'person' || each.person.id !== without)
        .filter((each) => only === undefined || each.kind === only)
        .slice(0, most),
    [most, without, only],
  );
  const { data } = useQuery({
    ...finding(wanted),
    enabled: wanted !== '',
    placeholderData: keepPreviousData,
  });

  /** Enter can be faster than the results: what counts is what the text as it stands finds. */
  const pick = useCallback(
    async (step?: Step): Promise<Meant | undefined> => {
      const found = await queries.fetchQuery(finding(wanted));
      const all = offered(found);
      if (step === undefined && refusal(found, all)) {
        return undefined; // what is wrong is shown; whoever means one of these steps to them
      }
      const option = all[Math.min(step?.row ?? 0, all.length - 1)];
      const emergency = option?.kind === 'number' && option.dial.emergency;
      return {
        to: option ? dialOf(option, step?.number) : wanted,
        emergency: emergency && option.dial.shown !== wanted ? option.dial.shown : undefined,
      };
    },
    [queries, wanted, offered],
  );

  const options = wanted === '' || !data ? [] : offered(data);
  const refused = wanted === '' || !data ? undefined : refusal(data, options);

  return {
    wanted,
    options,
    hint: refused ? t(`problem.${refused.problem}`, { text: refused.shown }) : '',
    /** Which of them Enter means before anybody has stepped to one; none when the text is refused. */
    first: refused ? -1 : 0,
    pick,
  };
}
