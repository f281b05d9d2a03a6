import { useQuery } from '@tanstack/react-query';
import { get, put } from '../api/client';
import type { LineView, PartyView } from '../api/types';

/** The lines that several people answer. */
export const useLines = () =>
  useQuery({ queryKey: ['lines'], queryFn: () => get<LineView[]>('/api/lines') }).data ?? [];

/** Those for whom I answer and place calls. */
export const usePrincipals = () =>
  useQuery({ queryKey: ['lines', 'behalf'], queryFn: () => get<PartyView[]>('/api/lines/behalf') })
    .data ?? [];

/** Takes part in a line from now on, or rests; without a line, in all of mine. */
export const takePart = (takesPart: boolean, line?: number, reason = '') =>
  put(line === undefined ? '/api/lines/part' : `/api/lines/${line}/part`, { takesPart, reason });
