import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { createContext, use, useEffect, useState } from 'react';
import { Problem, del, post, put, whenOwed, whenSignedOut, whoIsSignedIn } from '../api/client';
import type { Me } from '../api/types';
import { notify } from '../notices/store';
import { dayAndTime, setOfficeZone } from '../words/time';

const KEY = ['session'];

/** Who is signed in here. */
export const MeContext = createContext<Me | null>(null);

export function useMe(): Me {
  const me = use(MeContext);
  if (!me) {
    throw new Error('only within the views of somebody who is signed in');
  }
  return me;
}

/** From now on somebody else is here, or nobody: what was asked for another person is forgotten. */
function become(queries: QueryClient, me: Me | null) {
  if (me) {
    setOfficeZone(me.zone);
  }
  queries.setQueryData(KEY, me);
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== KEY[0] });
}

/** Who is signed in, asked once and told when it ends. */
export function useSession() {
  const queries = useQueryClient();
  const [signedOut, setSignedOut] = useState(false);
  const { data, isPending, error } = useQuery({
    queryKey: KEY,
    queryFn: async () => {
      const me = await whoIsSignedIn();
      if (me) {
        setOfficeZone(me.zone);
      }
      return me;
    },
    staleTime: Infinity,
    retry: (_, problem) => problem instanceof Problem && problem.status === 0,
    retryDelay: 1000,
  });

  useEffect(
    () =>
      whenSignedOut(() => {
        if (queries.getQueryData(KEY)) {
          setSignedOut(true);
          become(queries, null);
        }
      }),
    [queries],
  );

  useEffect(() => whenOwed(() => void queries.invalidateQueries({ queryKey: KEY })), [queries]);

  return {
    me: data ?? null,
    loading: isPending && !error,
    signedOut,
    unreachable: error instanceof Problem && error.code !== 'SIGNED_OUT' ? error.message : '',
  };
}

/** Signing in and out, and one's own sign-in. */
export function useSessionActions() {
  const queries = useQueryClient();
  /** Somebody has signed in. */
  function enter(me: Me) {
    become(queries, me);
    if (me.tried) {
      const { times, last, place } = me.tried;
      notify('tried', { times: String(times), at: dayAndTime(last), place });
    }
  }
  return {
    /** @param code besides the password, when it was asked for */
    async signIn(name: string, password: string, code?: string) {
      enter(await post<Me>('/api/session', { name, password, code }));
    },
    enter,
    async signOut() {
      await del('/api/session');
      become(queries, null);
    },
    async changePassword(present: string, next: string) {
      await put('/api/session/password', { present, next });
      queries.setQueryData<Me>(KEY, (me) => me && { ...me, mustChangePassword: false });
    },
    /** What had to be set up is. */
    factorAdded: () => queries.setQueryData<Me>(KEY, (me) => me && { ...me, mustAddFactor: false }),
    async tipsSeen(seen: boolean) {
      queries.setQueryData<Me>(KEY, (me) => me && { ...me, tipsSeen: seen });
      await put('/api/session/tips', { seen });
    },
  };
}
