import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { del, get, post, put, putFile } from '../api/client';
import type {
  CardBody,
  ContactChange,
  ContactFilters,
  ContactsPage,
  ContactView,
  GroupChange,
} from '../api/types';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';

const KEY = 'contacts';

/** Which cards are wanted. */
export interface Wanted {
  text: string;
  whose: 'ALL' | 'OFFICE' | 'OWN' | 'FAVOURITES';
  tag: string;
  group: string;
  /** Only names that begin so, or come later. */
  from: string;
}

export function pageOf(wanted: Wanted) {
  return {
    queryKey: [KEY, 'page', wanted],
    queryFn: ({ pageParam }: { pageParam: string }) =>
      get<ContactsPage>(
        `/api/contacts?${new URLSearchParams({ ...wanted, ...(pageParam ? { after: pageParam } : {}) })}`,
      ),
    initialPageParam: '',
    getNextPageParam: (last: ContactsPage) => (last.next ? String(last.next) : undefined),
    placeholderData: keepPreviousData,
  };
}

export const useFilters = () =>
  useQuery({
    queryKey: [KEY, 'filters'],
    queryFn: () => get<ContactFilters>('/api/contacts/filters'),
  }).data;

export const useContact = (id: number) =>
  useQuery({ queryKey: [KEY, 'card', id], queryFn: () => get<ContactView>(`/api/contacts/${id}`) });

export const useChanges = (id: number) =>
  useQuery({
    queryKey: [KEY, 'changes', id],
    queryFn: () => get<ContactChange[]>(`/api/contacts/${id}/changes`),
  });

/** What is written on a card, ready to be changed. */
export function bodyOf(contact: ContactView): CardBody {
  const { row, name, company, mails, addresses, tags, note, tone } = contact;
  const numbers = row.numbers.map(({ type, shown, extension }) => ({
    type,
    number: shown,
    extension,
  }));
  return { name, company, numbers, mails, addresses, tags, note, tone };
}

/** A card with nothing on it but this number. */
export function blank(number = ''): CardBody {
  const numbers = [{ type: 'WORK' as const, number, extension: '' }];
  return { name: '', company: '', numbers, mails: [], addresses: [], tags: [], note: '', tone: '' };
}

export const add = (own: boolean, card: CardBody) =>
  post<ContactView>('/api/contacts', { own, card });

export const change = (id: number, card: CardBody) => put<ContactView>(`/api/contacts/${id}`, card);

/** Deletes a card; a notice brings it back. */
export async function remove(id: number, name: string): Promise<boolean> {
  const done = await attempt(del(`/api/contacts/${id}`));
  if (done) {
    notify('cardRemoved', { name }, () => void attempt(post(`/api/contacts/${id}/restore`)));
  }
  return done;
}

export const changeGroups = (id: number, change: GroupChange) =>
  attempt(post(`/api/contacts/${id}/groups`, change));

export const putPicture = (id: number, file: File) =>
  attempt(putFile(`/api/contacts/${id}/picture`, file, file.type));

export const dropPicture = (id: number) => attempt(del(`/api/contacts/${id}/picture`));

/** Says whom of several with one number I have in a call. */
export const choose = (call: string, contact: number) =>
  attempt(put(`/api/calls/${call}/contact`, { contact }));
