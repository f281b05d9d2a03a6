import { useQuery } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { LineView, PartyView } from '../api/types';

/** Nobody tells of who takes part in lines that are none of mine: who looks at all of them asks now and then. */
const LOOKS_AGAIN = 5_000;

/** The lines that several people answer. */
export const useLines = (watched = false) =>
  useQuery({
    queryKey: ['lines'],
    queryFn: () => get<LineView[]>('/api/lines'),
    refetchInterval: watched ? LOOKS_AGAIN : false,
  }).data ?? [];

/** Those for whom I answer and place calls. */
export const usePrincipals = () =>
  useQuery({ queryKey: ['lines', 'behalf'], queryFn: () => get<PartyView[]>('/api/lines/behalf') })
    .data ?? [];

/** Takes part in a line from now on, or rests; without a line, in all of mine. */
export const takePart = (takesPart: boolean, line?: number, reason = '') =>
  put(line === undefined ? '/api/lines/part' : `/api/lines/${line}/part`, { takesPart, reason });
