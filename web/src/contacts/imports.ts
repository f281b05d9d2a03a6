import { useQuery } from '@tanstack/react-query';
import { del, get, post, putFile } from '../api/client';
import type { ContactImport, TakeOver } from '../api/types';

const PATH = '/api/contact-imports';
const EVERY_MS = 400;

/** A file of lines with commas, as browsers and people call it. */
const isCsv = (file: File) => file.type.includes('csv') || /\.(csv|tsv|txt)$/i.test(file.name);

/** Reads a file in, to be looked at. */
export const readIn = (file: File, own: boolean) =>
  putFile<ContactImport>(`${PATH}?own=${own}`, file, isCsv(file) ? 'text/csv' : 'text/vcard');

export const take = (id: string, body: TakeOver) => post(`${PATH}/${id}`, body);

export const cancel = (id: string) => del(`${PATH}/${id}`);

/** How far a file is that is being taken over. */
export const useProgress = (id: string, running: boolean) =>
  useQuery({
    queryKey: ['contact-import', id],
    queryFn: () => get<ContactImport>(`${PATH}/${id}`),
    enabled: running,
    refetchInterval: (query) => (query.state.data?.state === 'RUNNING' ? EVERY_MS : false),
  }).data;
