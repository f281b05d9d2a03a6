import { queryOptions, useQuery } from '@tanstack/react-query';
import { get, post, put } from '../api/client';
import type { FollowUpBody, FollowUpView, KnownOf, PhrasesView } from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';
import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);

const KEY = 'follow-ups';

/** What the office knows of whoever has a number. */
export const useKnown = (number: string | undefined) =>
  useQuery({
    queryKey: [KEY, 'known', number],
    queryFn: () => get<KnownOf>(`/api/known?${new URLSearchParams({ number: number as string })}`),
    enabled: number !== undefined,
  }).data;

/** What the office knows of a contact. */
export const useKnownContact = (contact: number) =>
  useQuery({
    queryKey: [KEY, 'contact', contact],
    queryFn: () => get<KnownOf>(`/api/known-contact?contact=${contact}`),
  }).data;

/** What I have still to do, or my team has. */
export const useFollowUps = (team: boolean) =>
  useQuery({
    queryKey: [KEY, 'open', team],
    queryFn: () => get<FollowUpView[]>(`/api/follow-ups?team=${team}`),
  });

export const add = (body: FollowUpBody) => post('/api/follow-ups', body);

export const change = (id: number, body: FollowUpBody) => put(`/api/follow-ups/${id}`, body);

/** Says that something is done; a notice opens it again. */
export async function done({ id, what }: FollowUpView) {
  if (await attempt(put(`/api/follow-ups/${id}/done`, { done: true }))) {
    notify('followUpDone', { what }, () => {
      void attempt(put(`/api/follow-ups/${id}/done`, { done: false }));
    });
  }
}

export const outcomes = queryOptions({
  queryKey: ['outcomes'],
  queryFn: () => get<string[]>('/api/outcomes'),
});

export const useOutcomes = () => useQuery(outcomes).data ?? [];

export const keepOutcomes = (next: string[]) => put('/api/office/outcomes', { outcomes: next });

export const chooseOutcome = (call: string, outcome: string) =>
  attempt(put(`/api/calls/${call}/outcome`, { outcome }));

export const phrases = queryOptions({
  queryKey: ['phrases'],
  queryFn: () => get<PhrasesView>('/api/phrases'),
  staleTime: 60_000,
});

export const usePhrases = () => useQuery(phrases).data ?? { phrases: [], office: [] };

export const keepOfficePhrases = (phrases: string[]) => put('/api/office/phrases', { phrases });

export const keepPhrases = (phrases: string[]) => put('/api/phrases', { phrases });
