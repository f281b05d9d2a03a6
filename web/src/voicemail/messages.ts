import { useQuery } from '@tanstack/react-query';
import { get, post, put } from '../api/client';
import type { MessageLetter, VoicemailPage } from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';

const KEY = 'voicemail';

/** How many messages are new; asked again whenever something has become of one. */
export function useFresh(): number {
  return useNewMessages()?.fresh ?? 0;
}

/** The newest of those that nobody has heard. */
export function useNewMessages(): VoicemailPage | undefined {
  return useQuery({
    queryKey: [KEY, 'new'],
    queryFn: () => get<VoicemailPage>('/api/voicemail?onlyNew=true'),
  }).data;
}

/** Which messages: all, those that nobody has heard, or those of callers who are blocked. */
export type Which = 'all' | 'new' | 'blocked';

export function pageOf(which: Which, text: string) {
  return {
    queryKey: [KEY, 'page', which, text],
    queryFn: ({ pageParam }: { pageParam: string }) =>
      get<VoicemailPage>(
        `/api/voicemail?${new URLSearchParams({
          onlyNew: String(which === 'new'),
          blocked: String(which === 'blocked'),
          text,
          before: pageParam,
        })}`,
      ),
    initialPageParam: '',
    getNextPageParam: (last: VoicemailPage) => last.next ?? undefined,
  };
}

export function letterOf(id: number) {
  return {
    queryKey: [KEY, 'letter', id],
    queryFn: () => get<MessageLetter>(`/api/voicemail/${id}`),
  };
}

export const heard = (id: number, on: boolean) =>
  attempt(post(`/api/voicemail/${id}/heard`, { on }));

export const dealt = (id: number, on: boolean) =>
  attempt(post(`/api/voicemail/${id}/dealt`, { on }));

export const passOn = (id: number, person: number, note: string) =>
  post(`/api/voicemail/${id}/pass`, { person, note });

export const keepNote = (id: number, text: string) => put(`/api/voicemail/${id}/note`, { text });

export const correct = (id: number, text: string) => put(`/api/voicemail/${id}/words`, { text });

/** Removes messages; a notice brings them back. */
export async function remove(ids: number[]) {
  if (await attempt(post('/api/voicemail/remove', { ids }))) {
    notify('messagesRemoved', { count: String(ids.length) }, () => {
      void attempt(post('/api/voicemail/restore', { ids }));
    });
  }
}
