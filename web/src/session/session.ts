import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { createContext, use, useEffect, useState } from 'react';
import { del, get, post, Problem, put, whenSignedOut } from '../api/client';
import type { Me } from '../api/types';

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
  queries.setQueryData(KEY, me);
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== KEY[0] });
}

/** Who is signed in, asked once and told when it ends. */
export function useSession() {
  const queries = useQueryClient();
  const [signedOut, setSignedOut] = useState(false);
  const { data, isPending, error } = useQuery({
    queryKey: KEY,
    queryFn: () => get<Me>('/api/session'),
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
  return {
    async signIn(name: string, password: string) {
      const me = await post<Me>('/api/session', { name, password });
      become(queries, me);
    },
    async signOut() {
      await del('/api/session');
      become(queries, null);
    },
    changePassword: (present: string, next: string) =>
      put('/api/session/password', { present, next }),
    async tipsSeen(seen: boolean) {
      queries.setQueryData<Me>(KEY, (me) => me && { ...me, tipsSeen: seen });
      await put('/api/session/tips', { seen });
    },
  };
}
