import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get, sentence } from '../api/client';
import { attempt } from '../notices/attempt';
import { notify } from '../notices/store';
import type {
  DependantView,
  LineNeeded,
  LineRow,
  OfficeRegister,
  PeopleRegister,
  SystemView,
} from '../api/types';

const KEY = 'office';

/** The office, and what it has not said yet: for administrators. */
export const useOffice = (wanted = true) =>
  useQuery({
    queryKey: [KEY, 'identity'],
    queryFn: () => get<OfficeRegister>('/api/office/identity'),
    enabled: wanted,
  }).data;

/** A part of the register of people. */
export const usePeopleRegister = (text: string, from: number) =>
  useQuery({
    queryKey: [KEY, 'people', text, from],
    queryFn: () =>
      get<PeopleRegister>(
        `/api/office/people?${new URLSearchParams({ text, from: String(from) })}`,
      ),
    placeholderData: (before) => before,
  }).data;

export const useLineRegister = () =>
  useQuery({ queryKey: [KEY, 'lines'], queryFn: () => get<LineRow[]>('/api/office/lines') }).data;

/** How the installation stands, asked for as long as it is shown. */
export const useSystem = () =>
  useQuery({
    queryKey: [KEY, 'system', 'state'],
    queryFn: () => get<SystemView>('/api/office/system'),
    refetchInterval: 10_000,
  }).data;

/** What would be different for whom if this colleague were not there. */
export const useDependants = (person: number) =>
  useQuery({
    queryKey: [KEY, 'dependants', person],
    queryFn: () => get<DependantView[]>(`/api/office/people/${person}/dependants`),
  }).data;

/** For whom and what this line is needed. */
export const useNeeded = (line: number) =>
  useQuery({
    queryKey: [KEY, 'needed', line],
    queryFn: () => get<LineNeeded>(`/api/office/lines/${line}/needed`),
  }).data;

/** How a change is taken back; unless somebody else has changed the same since, which is told then. */
export class Back {
  constructor(
    readonly what: 'registerKept' | 'registerAdded' | 'registerRemoved',
    readonly name: string,
    readonly run: () => Promise<unknown>,
  ) {}
}

/** Changes the office; what is wrong is said, and nothing that was typed is lost. */
export function useChange(onDone: () => void = () => {}) {
  const queries = useQueryClient();
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  async function look() {
    await queries.invalidateQueries({ queryKey: [KEY] });
    void queries.invalidateQueries({ queryKey: ['session'] });
  }
  function offer({ what, name, run }: Back) {
    notify(what, { name }, () => void attempt(run()).then(look));
  }
  async function change(request: () => Promise<unknown>) {
    if (busy) {
      return;
    }
    setBusy(true);
    setError('');
    try {
      const back = await request();
      await look();
      if (back instanceof Back) {
        offer(back);
      }
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    } finally {
      setBusy(false);
    }
  }
  return { change, error, busy };
}
